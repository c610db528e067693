package app.matsuri.server.wall;

import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.change.ViewPart;
import app.matsuri.server.clock.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Makes the Wall of a stored term. */
@Component
public class Walls implements ViewPart<WallView> {

    private final History history;
    private final Today today;

    Walls(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The Wall of a section as it stands; of the first section where none is named. */
    public WallView stands(Stored stored, String course, String section) {
        Schedule schedule = Schedule.of(stored.decisions());
        SectionSchedule follows = find(schedule, course, section);
        return new WallBuilder(stored.decisions(), schedule, follows, today(stored), null)
                .view(stored.termId(), stored.version(), history.ends(stored));
    }

    @Override
    public String view() {
        return "wall";
    }

    @Override
    public String field() {
        return "wall";
    }

    @Override
    public Class<WallView> type() {
        return WallView.class;
    }

    /** The Wall of the section that is looked at; null where it is there no longer. */
    @Override
    public @Nullable WallView part(Asked asked) {
        Stored stored = asked.stored();
        Optional<SectionSchedule> follows = asked.course() == null || asked.section() == null
                ? asked.schedule().sections().stream().findFirst()
                : asked.schedule().section(asked.course(), asked.section());
        return follows.map(section -> new WallBuilder(
                                asked.decisions(), asked.schedule(), section, today(stored), asked.proposal())
                        .view(stored.termId(), stored.version(), history.ends(stored)))
                .orElse(null);
    }

    /** The Wall of the first section of a term that is not stored yet. */
    public WallView preview(Decisions decisions) {
        Schedule schedule = Schedule.of(decisions);
        LocalDate day = today.in(decisions.term().zone());
        return new WallBuilder(decisions, schedule, find(schedule, null, null), day, null)
                .view(0, 0, new History.Ends(Optional.empty(), Optional.empty()));
    }

    private LocalDate today(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }

    private static SectionSchedule find(Schedule schedule, @Nullable String course, @Nullable String section) {
        if (schedule.sections().isEmpty()) {
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-section",
                    "No section yet",
                    "This term has no section yet: add a course with a section, so that there is a wall to show.");
        }
        if (course == null || section == null) {
            return schedule.sections().get(0);
        }
        return Find.section(schedule, course, section);
    }
}
