package app.matsuri.server.wall;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.runlist.TimedStep;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.telling.ToldWords;
import app.matsuri.server.wall.WallView.Gone;
import app.matsuri.server.wall.WallView.ItemView;
import app.matsuri.server.wall.WallView.LessonView;
import app.matsuri.server.wall.WallView.LinkView;
import app.matsuri.server.wall.WallView.NoticeView;
import app.matsuri.server.wall.WallView.SessionView;
import app.matsuri.server.wall.WallView.StepView;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** What stands on each day of a section, and what moves away from it. */
final class DayContents {

    private final Schedule schedule;
    private final SectionSchedule follows;
    private final @Nullable Proposal proposal;
    private final ToldWords told;
    private final Set<String> moved = new HashSet<>();
    private final Map<LocalDate, List<Gone>> gone = new HashMap<>();
    private final Map<LocalDate, List<SessionView>> sessions = new HashMap<>();
    private final Map<LocalDate, List<LessonView>> lessons = new HashMap<>();
    private final Map<LocalDate, List<ItemView>> items = new HashMap<>();
    private final Map<LocalDate, List<NoticeView>> notices = new HashMap<>();
    private final List<Span> spans = new ArrayList<>();

    /** The days over which a unit runs. */
    private record Span(Unit unit, LocalDate first, LocalDate last) {}

    DayContents(Schedule schedule, SectionSchedule follows, @Nullable Proposal proposal) {
        this.schedule = schedule;
        this.follows = follows;
        this.proposal = proposal;
        this.told = new ToldWords(follows);
        collectMoves();
        collectSessions();
        collectLessons();
        collectItems();
        collectNotices();
    }

    /** What moves, as "lesson CH2" or "due set-1". */
    Set<String> moved() {
        return moved;
    }

    /** All days on which anything stands, or stood before what is proposed. */
    TreeSet<LocalDate> days() {
        TreeSet<LocalDate> days = new TreeSet<>(sessions.keySet());
        List.of(lessons.keySet(), items.keySet(), notices.keySet(), gone.keySet())
                .forEach(days::addAll);
        return days;
    }

    /** The sessions of a day. */
    List<SessionView> sessions(LocalDate date) {
        return sessions.getOrDefault(date, List.of());
    }

    /** The lessons in its sessions. */
    List<LessonView> lessons(LocalDate date) {
        return lessons.getOrDefault(date, List.of());
    }

    /** The work that opens, is due or closes on it, what counts most first. */
    List<ItemView> items(LocalDate date) {
        return items.getOrDefault(date, List.of());
    }

    /** The notices that cover some of it. */
    List<NoticeView> notices(LocalDate date) {
        return notices.getOrDefault(date, List.of());
    }

    /** What moves away from it. */
    List<Gone> gone(LocalDate date) {
        return gone.getOrDefault(date, List.of());
    }

    private void collectMoves() {
        if (proposal == null) {
            return;
        }
        for (Moved move : proposal.moves()) {
            boolean here = move.course().equals(follows.course().code())
                    && move.section().equals(follows.section().code());
            if (!here) {
                continue;
            }
            moved.add(move.what() + " " + move.id());
            moved.add(move.what() + " " + move.id() + " " + move.to()); // one entry of a series
            if (move.from() != null && !move.what().equals("opens")) {
                gone.computeIfAbsent(move.from().toLocalDate(), d -> new ArrayList<>())
                        .add(new Gone(move.what(), move.id(), shown(move), move.to(), move.why()));
            }
        }
    }

    private String shown(Moved move) {
        return follows.course()
                .item(move.id())
                .filter(i -> !move.what().equals("lesson") && !move.what().equals("notice"))
                .map(i -> i.shortName().isEmpty() ? i.title() : i.shortName())
                .orElse(move.title());
    }

    private void collectSessions() {
        for (int i = 0; i < follows.sessions().size(); i++) {
            Session session = follows.sessions().get(i);
            String state = session.record()
                    ? "taught"
                    : session.held() ? "held" : session.paused() ? "paused" : session.early() ? "early" : "open";
            sessions.computeIfAbsent(session.date(), d -> new ArrayList<>())
                    .add(new SessionView(
                            session.name(),
                            session.start(),
                            session.end(),
                            i + 1,
                            session.minutes(),
                            session.place(),
                            state,
                            session.origin() == Session.Origin.BEAT));
        }
    }

    private void collectLessons() {
        Map<String, LocalDate> firsts = new HashMap<>();
        Map<String, LocalDate> lasts = new HashMap<>();
        for (Placement placement : follows.placements()) {
            for (int i = 0; i < placement.slots().size(); i++) {
                Placement.Slot slot = placement.slots().get(i);
                LocalDate date = follows.sessions().get(slot.session()).date();
                String unit = placement.unit().id();
                firsts.merge(unit, date, (a, b) -> a.isBefore(b) ? a : b);
                lasts.merge(unit, date, (a, b) -> a.isAfter(b) ? a : b);
                var lesson = placement.lesson();
                lessons.computeIfAbsent(date, d -> new ArrayList<>())
                        .add(new LessonView(
                                lesson.id(),
                                unit,
                                lesson.title(),
                                i + 1,
                                placement.slots().size(),
                                slot.taught(),
                                follows.section().pin(lesson) != null,
                                follows.section().own(lesson.id()).joined(),
                                lesson.optional(),
                                lesson.reserve(),
                                i == 0 ? told.of(Untold.LESSON, lesson.id()) : null,
                                steps(
                                        placement,
                                        i,
                                        lessons.getOrDefault(date, List.of()).isEmpty()),
                                links(lesson.details().links()),
                                moved.contains("lesson " + lesson.id())));
            }
        }
        for (Unit unit : follows.course().units()) {
            LocalDate first = firsts.get(unit.id());
            if (first != null) {
                spans.add(new Span(unit, first, Known.in(lasts, unit.id())));
            }
        }
    }

    /** The steps of a lesson in one of its sessions; none where another lesson has its beginning. */
    private List<StepView> steps(Placement placement, int slot, boolean first) {
        return !first
                ? List.of()
                : TimedStep.of(follows, placement, slot, 0).stream()
                        .map(step -> new StepView(step.start().toLocalTime(), step.minutes(), step.text()))
                        .toList();
    }

    private void collectItems() {
        follows.dates().forEach(dates -> collect(dates, null));
        follows.shared().forEach(shared -> collect(shared.dates(), shared.course()));
        items.values()
                .forEach(list -> list.sort(Comparator.comparing((ItemView i) -> !i.test())
                        .thenComparing(i -> i.kind().equals("reading"))
                        .thenComparing(ItemView::time)
                        .thenComparing(i -> i.course() != null
                                ? 0
                                : Known.in(follows.byItem(), i.id()).item().place())));
    }

    /** An item's dates on their days; from the given course, or the wall's own where null. */
    private void collect(ItemDates dates, @Nullable String course) {
        Item item = dates.item();
        for (Which which : Which.values()) {
            Resolved date = dates.get(which);
            DateRule rule = dates.rule(which);
            if (date == null || !date.resolved() || rule == null) {
                continue;
            }
            // an item's opening is listed in the opened day only, and its closing unless it is all there is
            String word = Words.word(which);
            items.computeIfAbsent(date.moment().toLocalDate(), d -> new ArrayList<>())
                    .add(new ItemView(
                            course,
                            others(item.details().shared()),
                            item.id(),
                            dates.unit().id(),
                            item.lesson(),
                            item.title(),
                            item.shortName().isEmpty() ? item.title() : item.shortName(),
                            item.kind(),
                            item.test(),
                            which == dates.mainDate() ? "main-" + word : word,
                            date.moment().toLocalTime(),
                            item.minutes(),
                            audience(item.details()),
                            date.fixed(),
                            date.rolled(),
                            item.locked(),
                            dates.draft() ? true : null,
                            course == null
                                    ? RuleSaid.hangs(rule, follows.course()).orElse(null)
                                    : "shared by " + course,
                            course == null ? told.of(word, item.id()) : null,
                            links(item.details().links()),
                            course == null && moved.contains(word + " " + item.id())));
        }
    }

    private static @Nullable List<String> others(List<String> shared) {
        return shared.isEmpty() ? null : shared;
    }

    /** The other courses that have a notice, too; one for everybody all of them have. */
    private List<String> sharing(NoticeDates dates) {
        Notice notice = dates.notice();
        return notice.reach() != Notice.Reach.EVERYONE
                ? notice.shared()
                : schedule.sections().stream()
                        .map(in -> in.course().code())
                        .filter(code -> !code.equals(dates.course()))
                        .distinct()
                        .toList();
    }

    private static @Nullable String audience(ItemDetails details) {
        if (!details.audience().equals(ItemDetails.ALL)) {
            return details.audience();
        }
        return details.only().isEmpty() ? null : "sections";
    }

    private void collectNotices() {
        for (NoticeDates dates : follows.notices()) {
            Notice notice = dates.notice();
            Resolved hidden = dates.hiddenUntil();
            for (NoticeDates.Entry entry : dates.entries()) {
                if (!entry.resolved() || entry.end().isBefore(entry.beginning())) {
                    continue;
                }
                NoticeView view = new NoticeView(
                        dates.course(),
                        others(sharing(dates)),
                        notice.id(),
                        notice.title(),
                        notice.place(),
                        entry.first(),
                        entry.beginning(),
                        entry.end(),
                        entry.allDay(),
                        notice.reach() == Notice.Reach.OWN,
                        hidden == null ? null : hidden.at(),
                        links(notice.links()),
                        moved.contains("notice " + notice.id() + " " + entry.beginning()));
                entry.beginning()
                        .toLocalDate()
                        .datesUntil(entry.end().toLocalDate().plusDays(1))
                        .filter(schedule.calendar().term()::contains)
                        .forEach(day -> notices.computeIfAbsent(day, d -> new ArrayList<>())
                                .add(view));
            }
        }
        notices.values()
                .forEach(list -> list.sort(
                        Comparator.comparing(NoticeView::allDay).reversed().thenComparing(NoticeView::begins)));
    }

    private static List<LinkView> links(List<Link> links) {
        return links.stream()
                .map(l -> new LinkView(l.title().isEmpty() ? l.url() : l.title(), l.url()))
                .toList();
    }

    /** The unit whose run of days a day lies in; null for none. */
    WallView.@Nullable Thread thread(LocalDate date) {
        Span shown = null;
        for (Span span : spans) {
            if (!date.isBefore(span.first()) && !date.isAfter(span.last())) {
                shown = shown == null
                                || !shown.last().equals(date)
                                || span.first().equals(date)
                        ? span
                        : shown;
            }
        }
        if (shown == null) {
            return null;
        }
        Span other = null;
        for (Span span : spans) {
            boolean here = !date.isBefore(span.first()) && !date.isAfter(span.last());
            other = here && span != shown ? span : other;
        }
        boolean begins = shown.first().equals(date) && other == null;
        return new WallView.Thread(shown.unit().id(), begins, shown.last().equals(date));
    }
}
