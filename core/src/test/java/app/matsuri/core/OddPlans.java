package app.matsuri.core;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.core.change.calendar.SetFirstPlanDay;
import app.matsuri.core.change.dates.DateUnit;
import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.dates.OrderDay;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.dates.Redate;
import app.matsuri.core.change.dates.Redate.How;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.notice.ArrangeNotice;
import app.matsuri.core.change.notice.ChangeNoticeSeries;
import app.matsuri.core.change.notice.MoveNotice;
import app.matsuri.core.change.notice.PutRhythm;
import app.matsuri.core.change.notice.RemoveNotice;
import app.matsuri.core.change.pace.BeginMidWeek;
import app.matsuri.core.change.pace.Join;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.RecordHeld;
import app.matsuri.core.change.pace.SetGap;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.change.plan.ArrangeItems;
import app.matsuri.core.change.plan.ArrangeLessons;
import app.matsuri.core.change.plan.ArrangeUnit;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.change.plan.PutUnit;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.RemoveLesson;
import app.matsuri.core.change.plan.RemoveUnit;
import app.matsuri.core.change.plan.SetDraft;
import app.matsuri.core.change.section.ChangeSeries;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Waiting;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** Odd plans with what lies beside lessons as well, notices, dates of sections and students, what waits; and changes of each kind to them. */
final class OddPlans {

    private static final String COURSE = "HYD 210";

    private final Random random;
    private final Decisions plan;
    private final Course course;

    OddPlans(long seed) {
        random = new Random(seed);
        Decisions bare = new RandomPlans(seed).plan();
        course = filled(bare.courses().get(0));
        plan = bare.withCourse(course);
    }

    Decisions plan() {
        return plan;
    }

    private boolean one(int in) {
        return random.nextInt(in) == 0;
    }

    private <T> T any(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    LocalDate day() {
        return plan == null
                ? LocalDate.of(2026, 8, 29).plusDays(random.nextInt(55))
                : plan.term().first().plusDays(random.nextInt(55) - 3);
    }

    private Course filled(Course bare) {
        List<Unit> units = bare.units().stream()
                .map(u -> u.withItems(u.items().stream().map(this::heavier).toList()))
                .toList();
        Course with = bare.withUnits(units);
        List<Section> sections = new ArrayList<>();
        for (Section section : with.sections()) {
            List<Student> students =
                    List.of(new Student("1", "Wren Oakes", ""), new Student("2", "Tove Lindqvist", ""));
            List<Adjustment> own = new ArrayList<>();
            for (Item item : with.items()) {
                if (one(5)) {
                    Map<Which, Own<DateRule>> dates = new HashMap<>();
                    dates.put(Which.values()[random.nextInt(3)], one(4) ? Own.none() : Own.other(rule(with)));
                    own.add(new Adjustment(
                            item.id(), one(2) ? "" + (1 + random.nextInt(2)) : null, dates, one(2) ? "ill" : ""));
                }
            }
            sections.add(section.withStudents(students).withAdjustments(own));
        }
        with = with.withSections(sections);
        List<Notice> notices = new ArrayList<>();
        for (int n = 0; n < random.nextInt(5); n++) {
            notices.add(notice(with, "N" + n));
        }
        List<Waiting> waits = new ArrayList<>();
        for (String what : List.of("opens", "due", "closes", "pin", "begins", "ends")) {
            if (one(3)) {
                waits.add(new Waiting(
                        what,
                        waiting(with, what, notices),
                        one(2) ? null : any(with.sections()).code(),
                        one(2) ? null : moment(),
                        one(2) ? null : moment(),
                        "a day off"));
            }
        }
        return with.withBesides(Besides.NONE.withNotices(notices).withWaits(waits));
    }

    private String waiting(Course in, String what, List<Notice> notices) {
        boolean notice = what.equals("begins") || what.equals("ends");
        List<String> ids = new ArrayList<>(List.of("gone", "unit:U0"));
        if (what.equals("pin")) {
            in.lessons().forEach(l -> ids.add(l.id()));
        } else if (notice) {
            notices.forEach(n -> ids.add(n.id()));
        } else {
            in.items().forEach(i -> ids.add(i.id()));
        }
        return any(ids);
    }

    private Item heavier(Item item) {
        return new Item(
                item.id(),
                item.lesson(),
                item.kind(),
                item.title(),
                item.shortName(),
                item.points(),
                one(2) ? 10 + random.nextInt(50) : null,
                item.marking(),
                one(8),
                item.place(),
                one(4) ? DateRule.at(moment()) : item.opens(),
                item.due(),
                item.closes(),
                item.details(),
                item.extra());
    }

    private LocalDateTime moment() {
        return LocalDate.of(2026, 8, 29).plusDays(random.nextInt(55)).atTime(random.nextInt(24), one(2) ? 0 : 30);
    }

    private DateRule rule(Course in) {
        List<Lesson> lessons = in.lessons();
        return switch (random.nextInt(6)) {
            case 0 ->
                DateRule.of(new Anchor.InWeek(1 + random.nextInt(9), one(2), DayOfWeek.of(1 + random.nextInt(7))));
            case 1 -> DateRule.of(new Anchor.OwnDate(Which.OPENS)).plus(2, Offset.Unit.DAYS);
            case 2 -> DateRule.of(new Anchor.WithUnit("U" + random.nextInt(4), one(2) ? Edge.START : Edge.END));
            case 3, 4 ->
                lessons.isEmpty()
                        ? DateRule.at(moment())
                        : DateRule.of(new Anchor.WithLesson(any(lessons).id(), one(2) ? Edge.START : Edge.END))
                                .plus(random.nextInt(7) - 3, Offset.Unit.values()[random.nextInt(6)])
                                .snapped(DayOfWeek.FRIDAY, one(2));
            default -> DateRule.at(moment());
        };
    }

    private NoticeTime time(Course in) {
        if (one(3)) {
            NoticeTime series = NoticeTime.series(new NoticeTime.Repeat(
                    one(2) ? "FREQ=WEEKLY;BYDAY=TH" : "FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE",
                    one(2) ? moment().toLocalDate() : null,
                    null,
                    one(2) ? LocalTime.of(15, 0) : null,
                    one(2) ? 0 : 90));
            return one(2) ? series.instead(moment().toLocalDate(), one(2) ? null : moment()) : series;
        }
        boolean work = !in.items().isEmpty() && one(3);
        DateRule begins = work
                ? DateRule.of(new Anchor.OfItem(any(in.items()).id(), Which.values()[random.nextInt(3)]))
                        .plus(-1, Offset.Unit.DAYS)
                : rule(in);
        DateRule ends = one(2)
                ? null
                : one(2) ? DateRule.of(new Anchor.OwnBeginning()).plus(2, Offset.Unit.DAYS) : DateRule.at(moment());
        return NoticeTime.once(one(2), begins, ends);
    }

    private Notice notice(Course in, String id) {
        return new Notice(
                id,
                one(2) ? null : any(in.units()).id(),
                "Notice " + id,
                "",
                one(2) ? "" : "Weir House",
                List.of(),
                time(in),
                one(3) ? Map.of("B", time(in)) : Map.of(),
                Notice.Reach.values()[random.nextInt(3)],
                one(4) ? List.of("A") : List.of(),
                List.of(),
                one(3) ? rule(in) : null,
                Extra.NONE);
    }

    private List<How> hows() {
        return List.of(
                new How.Clear(),
                new How.By(1 + random.nextInt(9), Offset.Unit.values()[random.nextInt(6)]),
                new How.By(-1 - random.nextInt(4), Offset.Unit.values()[random.nextInt(6)]),
                new How.At(LocalTime.of(17, 0)),
                new How.SnapTo(DayOfWeek.FRIDAY, one(2)),
                new How.ToClass(one(2)),
                new How.Fix(),
                new How.Follow());
    }

    /** Changes that a person could make next in a section of it, each of another kind. */
    List<Change> changes(SectionSchedule in) {
        String section = in.section().code();
        String maybe = one(2) ? section : null;
        List<Change> all = new ArrayList<>();
        all.add(new SetFirstPlanDay(one(3) ? null : day()));
        plan.term().closures().stream()
                .limit(1)
                .forEach(c -> all.add(new RemoveClosure(c.first(), c.last(), c.reason())));
        Unit unit = any(course.units());
        Unit other = any(course.units());
        all.add(new DateUnit(COURSE, section, unit.id(), day()));
        all.add(new ArrangeUnit(COURSE, unit.id(), one(3) ? null : other.id()));
        all.add(new SetDraft(COURSE, List.of(unit.id()), List.of(), one(2)));
        all.add(new RemoveUnit(COURSE, unit.id()));
        all.add(new PutUnit(COURSE, Unit.of("UX", "More", List.of(), List.of()), one(2) ? unit.id() : null));
        all.add(new RecordHeld(COURSE, maybe, one(2) ? null : day(), day(), null));
        all.add(new Tell(COURSE, maybe, one(2) ? null : day(), "Flood", one(2) ? null : moment()));
        all.add(new ChangeSeries(
                COURSE, section, 0, one(3) ? null : day(), Plans.meets(one(2) ? "MO,WE" : "TU,FR", "09:00", 50)));
        all.add(new Shift(
                COURSE,
                maybe,
                List.of(),
                unit.id(),
                List.of(),
                null,
                null,
                1 + random.nextInt(5),
                Shift.In.values()[random.nextInt(5)],
                one(2)));
        all.add(new Shift(
                COURSE,
                maybe,
                List.of(),
                null,
                List.of(),
                1 + random.nextInt(6),
                null,
                -1 - random.nextInt(3),
                Shift.In.values()[random.nextInt(5)],
                one(2)));
        all.add(new PutRhythm(
                COURSE,
                new Rhythm(
                        "R",
                        "Logs",
                        unit.id(),
                        Set.of(DayOfWeek.WEDNESDAY),
                        "",
                        1,
                        1,
                        random.nextInt(4),
                        Map.of(),
                        List.of(new Rhythm.Part(
                                "p",
                                Item.of(
                                        "p",
                                        null,
                                        "homework",
                                        "Log {n}",
                                        DateRule.of(new Anchor.InRhythm("R", 0, Edge.START))),
                                one(2) ? null : new Offset(1, Offset.Unit.DAYS))),
                        Extra.NONE)));
        if (!course.lessons().isEmpty()) {
            lessons(in, section, maybe, unit, all);
        }
        if (!course.items().isEmpty()) {
            items(section, maybe, unit, all);
        }
        for (Notice notice : course.besides().notices()) {
            LocalDate entry = one(3)
                    ? null
                    : in.notice(COURSE, notice.id()).stream()
                            .flatMap(n -> n.entries().stream())
                            .map(e -> e.first())
                            .filter(d -> d != null)
                            .findFirst()
                            .orElse(day());
            all.add(new MoveNotice(
                    COURSE, maybe, notice.id(), entry, one(4) ? null : day(), one(3) ? LocalTime.of(8, 15) : null));
            all.add(new ArrangeNotice(COURSE, notice.id(), one(2) ? null : unit.id(), null));
            all.add(new ChangeNoticeSeries(
                    COURSE,
                    notice.id(),
                    day(),
                    one(2) ? null : new NoticeTime.Repeat("FREQ=DAILY", null, null, null, 0)));
            all.add(new RemoveNotice(COURSE, notice.id()));
            all.add(new Redate(
                    COURSE,
                    List.of(notice.id()),
                    one(2) ? List.of() : List.of(section),
                    Set.of(one(2) ? Which.OPENS : Which.CLOSES),
                    any(hows())));
        }
        return all;
    }

    private void lessons(SectionSchedule in, String section, String maybe, Unit unit, List<Change> all) {
        Lesson lesson = any(course.lessons());
        Lesson before = any(course.lessons());
        all.add(new Move(
                COURSE, null, section, List.of(lesson.id()), List.of(), day(), "first", one(2), one(2), one(2)));
        all.add(new Pin(COURSE, maybe, lesson.id(), one(3) ? null : day()));
        all.add(new SetLength(COURSE, section, lesson.id(), one(3) ? null : 1 + random.nextInt(4)));
        all.add(new SetGap(COURSE, section, lesson.id(), random.nextInt(4)));
        all.add(new Join(COURSE, section, lesson.id(), one(2)));
        all.add(new BeginMidWeek(COURSE, section, lesson.id(), one(2)));
        all.add(new LeaveOut(COURSE, section, lesson.id(), one(2)));
        all.add(new ArrangeLessons(COURSE, List.of(lesson.id()), unit.id(), one(2) ? null : before.id()));
        all.add(new RemoveLesson(COURSE, lesson.id()));
        all.add(new PutLesson(
                COURSE,
                unit.id(),
                Lesson.of("LX", "More", 1),
                unit.lessons().isEmpty() || one(2) ? null : any(unit.lessons()).id()));
        all.add(new Shift(
                COURSE,
                maybe,
                List.of(lesson.id()),
                null,
                List.of(),
                null,
                null,
                one(2) ? 2 : -2,
                Shift.In.values()[random.nextInt(5)],
                one(2)));
    }

    private void items(String section, String maybe, Unit unit, List<Change> all) {
        Item item = any(course.items());
        Item other = any(course.items());
        all.add(new Move(
                COURSE,
                maybe,
                section,
                List.of(),
                List.of(item.id()),
                day(),
                one(2) ? "first" : "last",
                one(2),
                one(2),
                false));
        all.add(new Shift(
                COURSE,
                maybe,
                List.of(),
                null,
                List.of(item.id()),
                null,
                null,
                one(2) ? 1 : -1,
                Shift.In.values()[random.nextInt(5)],
                one(2)));
        all.add(new ArrangeItems(COURSE, List.of(item.id()), unit.id(), null, null, one(2) ? null : other.id()));
        all.add(new OrderDay(COURSE, List.of(item.id(), other.id())));
        all.add(new RemoveItem(COURSE, item.id()));
        all.add(new PutAdjustment(
                COURSE,
                section,
                new Adjustment(
                        item.id(),
                        one(2) ? "1" : null,
                        Map.of(Which.DUE, one(3) ? Own.none() : Own.other(rule(course))),
                        "ill")));
        all.add(new PutDates(List.of(new PutDates.Entry(
                COURSE,
                item.id(),
                one(2) ? List.of() : List.of(section),
                Map.of(Which.DUE, Own.other(rule(course)))))));
        for (How how : hows()) {
            Set<Which> dates = one(2) ? EnumSet.allOf(Which.class) : EnumSet.of(Which.values()[random.nextInt(3)]);
            all.add(new Redate(
                    COURSE,
                    List.of(item.id(), other.id()).stream().distinct().toList(),
                    one(2) ? List.of() : List.of(section),
                    dates,
                    how));
        }
    }
}
