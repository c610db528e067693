package app.matsuri.server.repace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.NoClass;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.repace.Repair;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Ways out: nothing is stored here, a way is taken as a change like any other. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class WaysController {

    private final Access access;
    private final Moment moment;

    WaysController(Access access, Moment moment) {
        this.access = access;
        this.moment = moment;
    }

    /**
     * What ways are asked for.
     *
     * @param change what was lost; null for the plan as it stands
     * @param noClassOn in place of a change, the day on which there was no class; null for none
     * @param by a day by which everything is to be as planned; null for none
     * @param everywhere whether what a way leaves out, shortens or joins holds for all sections of the course; no where not
     *     said
     * @param tidy whether tidying the whole term is one of them
     * @param held whether earlier classes without a record count as held as planned; yes where not said
     */
    record WaysAsked(
            String course,
            String section,

            @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
            JsonNode change,

            @Nullable LocalDate noClassOn,
            @Nullable LocalDate by,
            boolean tidy,
            @Nullable Boolean everywhere,
            @Nullable Boolean held) {}

    /** What was lost; null where the plan is asked for as it stands. */
    private static @Nullable ChangeGiven given(Stored stored, WaysAsked asked) {
        if (asked.noClassOn() != null) {
            return new ChangeGiven(
                    NoClass.on(stored.decisions(), asked.course(), asked.section(), asked.noClassOn()), true);
        }
        return asked.change() == null || asked.change().isNull() ? null : ChangeGiven.read(asked.change());
    }

    @PostMapping(path = "/ways", consumes = "application/json")
    WaysView ways(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody WaysAsked asked) {
        Stored stored = access.look(by, termId);
        ChangeGiven given = given(stored, asked);
        boolean held = (given == null || given.held()) && !Boolean.FALSE.equals(asked.held());
        Change change = given == null ? null : moment.now(given.change(), stored.decisions());
        LocalDate today = moment.day(stored.decisions());
        try {
            Repair repair = Repair.of(
                    stored.decisions(),
                    new SectionRef(asked.course(), asked.section()).toString(),
                    change,
                    held ? today : null);
            return new WaysBuilder(stored.decisions(), repair, change, Boolean.TRUE.equals(asked.everywhere()), today)
                    .view(stored.version(), asked.by(), asked.tidy());
        } catch (IllegalArgumentException e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "no-ways", "No ways out", e.getMessage());
        }
    }
}
