package app.matsuri.core.rollover;

import app.matsuri.core.Plans;
import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.pace.RecordHeld;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
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
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Made-up courses in made-up terms, with everything that stays behind and everything that comes along. */
final class RandomCourse {

    private final Random random;

    RandomCourse(long seed) {
        random = new Random(seed);
    }

    /** A term that begins on a Monday, with some days off. */
    Term term(LocalDate monday, int weeks) {
        List<Closure> closures = new ArrayList<>();
        for (int i = 0; i < random.nextInt(4); i++) {
            LocalDate day = monday.plusWeeks(1 + random.nextInt(weeks - 2)).plusDays(random.nextInt(5));
            closures.add(Closure.of(day, day.plusDays(random.nextInt(3)), "Off " + i, "event"));
        }
        return Term.of("Old", monday, monday.plusWeeks(weeks).minusDays(3), Plans.CHICAGO)
                .withClosures(closures);
    }

    /** The term so many days later, days off and all. */
    static Term later(Term term, int days) {
        return Term.of("New", term.first().plusDays(days), term.last().plusDays(days), term.zone())
                .withClosures(term.closures().stream()
                        .map(c -> c.withDays(c.first().plusDays(days), c.last().plusDays(days)))
                        .toList());
    }

    Decisions decisions(Term term) {
        List<Unit> units = new ArrayList<>();
        int n = 0;
        int items = 0;
        for (int u = 0; u < 3; u++) {
            List<Lesson> lessons = new ArrayList<>();
            List<Item> work = new ArrayList<>();
            for (int l = 0; l < 2 + random.nextInt(4); l++) {
                String id = "L" + ++n;
                lessons.add(
                        Lesson.of(id, "Lesson " + n, 1 + random.nextInt(4) / 3).withGap(random.nextInt(5) / 4));
                for (int i = 0; i < random.nextInt(3); i++) {
                    work.add(item("I" + ++items, id, term));
                }
            }
            units.add(new Unit(
                    "U" + u,
                    "U" + u,
                    "Unit " + u,
                    random.nextInt(4) == 0,
                    false,
                    null,
                    "",
                    random.nextInt(4) == 0 ? Map.of(Which.CLOSES, DateRule.at(moment(term))) : Map.of(),
                    lessons,
                    work,
                    app.matsuri.core.calendar.Extra.NONE));
        }
        Course course = Course.of("HYD 210", "Reading Rivers", 50, List.of(Plans.sectionA(), Plans.sectionB()), units);
        course = course.withNotice(
                Notice.of("N", "Boats", NoticeTime.on(term.first().plusDays(random.nextInt(40)))));
        Decisions decisions = Decisions.of(term, List.of(course));
        return taught(decisions);
    }

    private LocalDateTime moment(Term term) {
        int days = (int) java.time.temporal.ChronoUnit.DAYS.between(term.first(), term.last());
        return term.first().plusDays(random.nextInt(days)).atTime(LocalTime.of(8 + random.nextInt(12), 30));
    }

    private Item item(String id, String lesson, Term term) {
        DateRule due = switch (random.nextInt(4)) {
            case 0 -> DateRule.at(moment(term));
            case 1 -> DateRule.of(new Anchor.InWeek(1 + random.nextInt(6), random.nextBoolean(), DayOfWeek.SUNDAY));
            case 2 ->
                DateRule.of(new Anchor.WithLesson(lesson, Edge.END))
                        .plus(random.nextInt(4), Offset.Unit.TEACHING_DAYS)
                        .at(LocalTime.of(17, 0));
            default -> DateRule.of(new Anchor.WithLesson(lesson, Edge.START));
        };
        DateRule closes = DateRule.of(new Anchor.OwnDate(Which.DUE)).plus(2, Offset.Unit.DAYS);
        return Item.of(id, lesson, "homework", "Work " + id, due)
                .withRules(random.nextBoolean() ? Map.of(Which.CLOSES, closes) : Map.of());
    }

    /** Some of it taught, with students, words of why, and dates of their own. */
    private Decisions taught(Decisions decisions) {
        Decisions now = decisions;
        for (Section section : decisions.courses().get(0).sections()) {
            int days = random.nextInt(24);
            if (days > 3) {
                LocalDate until = decisions.term().first().plusDays(days);
                RecordHeld held = new RecordHeld("HYD 210", section.code(), null, until, null);
                try {
                    now = Change.make(held, now).decisions();
                } catch (Refused e) {
                    continue; // no class of it is over
                }
            }
            DateRule other = DateRule.at(moment(decisions.term()));
            now = now.withCourse(
                    "HYD 210",
                    c -> c.withSection(c.section(section.code())
                            .orElseThrow()
                            .withStudents(List.of(new Student("1", "Wren Oakes", "w@quillmarsh.example")))
                            .withNote("L1", "The gauge was dry")
                            .adjusted(new Adjustment("I1", "1", Map.of(Which.DUE, Own.other(other)), "ill"))));
        }
        return now;
    }
}
