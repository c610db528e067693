package app.matsuri.server.outline;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.notice.PutRhythm;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.http.ChangeGiven;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Every date of what repeats, before it is added. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class RepeatsController {

    private final Access access;
    private final Moment moment;

    RepeatsController(Access access, Moment moment) {
        this.access = access;
        this.moment = moment;
    }

    /** A rhythm or a series of notices, as the change that puts it. */
    record RepeatsAsked(
            String course,
            String section,

            @Schema(type = "object", description = "See docs/plan-file.md")
            JsonNode change) {}

    /**
     * One date of what repeats.
     *
     * @param first the day that names it within a series of notices; null for work
     * @param dates its dates by name; of a notice "begins"
     * @param off the day off that it falls on; null for none
     */
    record RepeatDate(
            String title,
            @Nullable LocalDate first,
            Map<String, LocalDateTime> dates,
            boolean over,
            @Nullable String off) {}

    /**
     * All dates in one section.
     *
     * @param over how many times lie before today
     */
    record RepeatsRead(List<RepeatDate> dates, int over) {}

    @PostMapping(path = "/repeats", consumes = "application/json")
    RepeatsRead repeats(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody RepeatsAsked asked) {
        Decisions before = access.look(by, termId).decisions();
        Change change = ChangeGiven.read(asked.change()).change();
        Decisions after = Change.make(change, before).decisions();
        SectionSchedule in = Find.section(Schedule.of(after), asked.course(), asked.section());
        LocalDate today = moment.day(after);
        if (change instanceof PutRhythm put) {
            return rhythm(in, put.rhythm().id(), today);
        }
        if (change instanceof PutNotice put) {
            return notice(in, put.notice().id(), today);
        }
        throw OutlineWords.misread("Only rhythms and notices repeat.");
    }

    /** Every date of a rhythm in a section. */
    static RepeatsRead rhythm(SectionSchedule in, String id, LocalDate today) {
        Rhythm rhythm = in.course().rhythm(id).orElseThrow();
        List<RepeatDate> dates = new ArrayList<>();
        int over = 0;
        for (int n = 1; n <= rhythm.comes(); n++) {
            boolean past = false;
            for (Rhythm.Part part : rhythm.parts()) {
                ItemDates item = in.byItem().get(rhythm.itemId(part, n));
                if (item == null) {
                    continue;
                }
                Map<String, LocalDateTime> at = new LinkedHashMap<>();
                for (Which which : Which.values()) {
                    Resolved date = item.get(which);
                    if (date != null && date.resolved()) {
                        at.put(Words.word(which), date.at());
                    }
                }
                LocalDate main = item.main() == null ? null : item.main().toLocalDate();
                boolean before = main != null && main.isBefore(today);
                past |= before;
                dates.add(new RepeatDate(item.item().title(), null, at, before, main == null ? null : off(in, main)));
            }
            over += past ? 1 : 0;
        }
        return new RepeatsRead(dates, over);
    }

    private static RepeatsRead notice(SectionSchedule in, String id, LocalDate today) {
        List<RepeatDate> dates = new ArrayList<>();
        for (NoticeDates notice : in.notices()) {
            if (!notice.notice().id().equals(id)
                    || !notice.course().equals(in.course().code())) {
                continue;
            }
            for (NoticeDates.Entry entry : notice.entries()) {
                if (entry.resolved()) {
                    LocalDate day = entry.beginning().toLocalDate();
                    dates.add(new RepeatDate(
                            notice.notice().title(),
                            entry.first(),
                            Map.of("begins", entry.beginning()),
                            day.isBefore(today),
                            off(in, day)));
                }
            }
        }
        return new RepeatsRead(
                dates, (int) dates.stream().filter(RepeatDate::over).count());
    }

    /** The day off that the section has then; null for none. */
    private static @Nullable String off(SectionSchedule in, LocalDate day) {
        Term term = in.calendar().term();
        return term.closures().stream()
                .filter(c -> c.covers(day) && c.wholeDay() && c.noClass())
                .filter(c -> c.concerns(in.course().code(), in.section().code()))
                .findFirst()
                .map(Closure::reason)
                .map(r -> r.isEmpty() ? "day off" : r)
                .orElse(null);
    }
}
