package app.matsuri.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.RemoveUnit;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Decisions as rows, and the difference of two of them. */
class DeltaTest {

    private static final Decisions DEMO = PlanFile.read(Browser.demo()).decisions();

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void rowsPutTogetherAreTheSameDecisions(int n) throws IOException {
        Path file = Path.of("..", "exchange", "src", "test", "resources", "examples", String.format("%02d.json", n));
        Decisions decisions = PlanFile.read(Files.readAllBytes(file)).decisions();
        assertThat(RowReader.decisions(RowWriter.rows(1, decisions))).isEqualTo(decisions);
    }

    @Test
    void theDeltaOfEqualValuesIsEmpty() {
        assertThat(Delta.between(RowWriter.rows(1, DEMO), RowWriter.rows(1, DEMO))
                        .isEmpty())
                .isTrue();
    }

    /** Laws: undo restores, redo repeats, and a delta reads back as the same delta. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void undoRestoresAndRedoRepeats(long seed) {
        Random random = new Random(seed);
        Decisions now = DEMO;
        List<Rows> states = new ArrayList<>(List.of(RowWriter.rows(1, now)));
        List<Delta> deltas = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            try {
                now = Change.make(change(random, now), now).decisions();
            } catch (Refused e) {
                continue;
            }
            Rows rows = RowWriter.rows(1, now);
            deltas.add(
                    Delta.of(Delta.between(states.get(states.size() - 1), rows).json()));
            states.add(rows);
        }
        assertThat(deltas.size()).isGreaterThan(8);
        Rows back = states.get(states.size() - 1);
        for (int i = deltas.size() - 1; i >= 0; i--) {
            back = deltas.get(i).inverse().applyTo(back);
            assertThat(RowReader.decisions(back)).isEqualTo(RowReader.decisions(states.get(i)));
        }
        assertThat(RowReader.decisions(back)).isEqualTo(DEMO);
        for (Delta delta : deltas) {
            back = delta.applyTo(back);
        }
        assertThat(RowReader.decisions(back)).isEqualTo(now);
    }

    private static Change change(Random random, Decisions now) {
        String course = "HYD 210";
        Section section = now.course(course).orElseThrow().sections().get(random.nextInt(2));
        List<Lesson> lessons = now.course(course).orElseThrow().lessons();
        List<Item> items = now.course(course).orElseThrow().items();
        Lesson lesson = lessons.get(random.nextInt(lessons.size()));
        Item item = items.get(random.nextInt(items.size()));
        LocalDate day = LocalDate.of(2026, 10, 8).plusDays(random.nextInt(70));
        SectionSchedule follows =
                Schedule.of(now).section(course, section.code()).orElseThrow();
        var session = follows.sessions().get(random.nextInt(follows.sessions().size()));
        return switch (random.nextInt(11)) {
            case 0 -> new AddClosure(Closure.of(day, day.plusDays(random.nextInt(3)), "Off " + day, "other"));
            case 1 -> new RemoveClosure(day, day.plusDays(7), null);
            case 2 ->
                new Shift(
                        course,
                        section.code(),
                        List.of(lesson.id()),
                        null,
                        List.of(),
                        null,
                        null,
                        random.nextBoolean() ? 1 : -1,
                        Shift.In.SESSIONS,
                        random.nextInt(3) == 0);
            case 3 -> Move.seenIn(course, section.code(), List.of(), List.of(item.id()), day, "first", false, false);
            case 4 -> Move.seenIn(course, section.code(), List.of(lesson.id()), List.of(), day, "last", false, false);
            case 5 -> new Pin(course, random.nextBoolean() ? section.code() : null, lesson.id(), day);
            case 6 ->
                new RecordTaught(
                        course, section.code(), session.name(), List.of(lesson.id()), random.nextBoolean(), "why");
            case 7 -> new HoldEmpty(course, section.code(), session.name(), true);
            case 8 -> new LeaveOut(course, section.code(), lesson.id(), random.nextBoolean());
            case 9 -> new PutLesson(course, "CH", Lesson.of("N" + random.nextInt(99), "New", 2), "CH3");
            default -> random.nextBoolean() ? new RemoveItem(course, item.id()) : new RemoveUnit(course, "RE");
        };
    }
}
