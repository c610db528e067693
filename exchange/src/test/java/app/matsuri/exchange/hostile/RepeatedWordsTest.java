package app.matsuri.exchange.hostile;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.ForCourse;
import app.matsuri.exchange.words.HoursWords;
import app.matsuri.exchange.words.KindWords;
import app.matsuri.exchange.words.MeetsWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.ReminderWords;
import app.matsuri.exchange.words.RepeatWords;
import app.matsuri.exchange.words.RunWords;
import app.matsuri.exchange.words.TimeWords;
import app.matsuri.exchange.words.Times;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A word said thousands of times: a pattern that takes it again and again must not use up the stack of a request. */
class RepeatedWordsTest {

    private static final DayWords DAYS = new DayWords(
            LocalDate.parse("2026-10-07"),
            EveryReader.DEMO.term().first(),
            EveryReader.DEMO.term().last());

    private static final Map<String, Consumer<String>> WORDS = words();

    private static Map<String, Consumer<String>> words() {
        Map<String, Consumer<String>> all = new LinkedHashMap<>();
        all.put("day", DAYS::read);
        all.put("moment", t -> MomentWords.read(t, DAYS));
        all.put("due", t -> new DueWords(DAYS).read(t, "CH2"));
        all.put("meets", t -> MeetsWords.readAll(t, DAYS));
        all.put("hours", t -> HoursWords.read(t, DAYS, List.of("A", "B")));
        all.put("repeats", t -> RepeatWords.read(t, DAYS));
        all.put("runs", t -> RunWords.find(t, DAYS));
        all.put("time", TimeWords::read);
        all.put("times", Times::find);
        all.put("reminder", t -> ReminderWords.read(t, "log-8"));
        all.put("kind", KindWords::ofTitle);
        all.put("course", t -> ForCourse.of(t, EveryReader.DEMO));
        return all;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "1.",
                "1.1 ",
                "a@b.c.",
                "by ",
                "next ",
                "Mon, ",
                "Mon/",
                "MW ",
                "and ",
                "A, ",
                "12, ",
                "12 and ",
                "5 Oct, ",
                "5 Oct - ",
                "10:00 ",
                "week 3, ",
                "final ",
                "unit ",
                "fall ",
                "for A and ",
                "(",
                "((a)",
                "\"",
                "a'b",
                "no class ",
                "CH2, ",
                "5pm ",
                "2 days before ",
                "\t",
                "\u00e9",
                "x",
                "9",
                "pp. 3-4; ",
                "https://a.b/"
            })
    @Timeout(300)
    void usesNoStackByTheWord(String word) throws Exception {
        List<String> wrong = new ArrayList<>();
        // a quarter of what a thread of the server has, as a request is deep in it already
        Thread request = new Thread(
                null,
                () -> {
                    words(word.repeat(4_000 / word.length()), wrong);
                    files(word.repeat(900 / word.length()), wrong);
                },
                "request",
                256 * 1024);
        request.start();
        request.join();
        assertThat(wrong).isEmpty();
    }

    private static void words(String text, List<String> wrong) {
        WORDS.forEach((name, read) -> tried(name, () -> read.accept(text), wrong));
    }

    private static void files(String text, List<String> wrong) {
        String quoted = "\"" + text.replace("\"", "\"\"") + "\"";
        Map<String, String> files = Map.of(
                "line.txt", text + "\nMon 5 Oct " + text + "\n",
                "first.csv", "Date,Topic,Due,Name,Mail\n" + quoted + ",a,5 Oct,B,b@quillmarsh.example\n",
                "topic.csv",
                        "Date,Topic,Due,Name,Mail\n5 Oct," + quoted + "," + quoted + "," + quoted + "," + quoted + "\n",
                "titled.csv", "what,title,due,section,id\nlesson," + quoted + "," + quoted + ",A,L1\n");
        files.forEach((name, content) -> {
            Given given = new Given(name, content.getBytes(StandardCharsets.UTF_8));
            EveryReader.ALL.forEach((reader, read) -> tried(reader + " of " + name, () -> read.accept(given), wrong));
        });
    }

    private static void tried(String what, Runnable read, List<String> wrong) {
        TimeLimit.begin(Duration.ofSeconds(60));
        try {
            read.run();
        } catch (Unreadable said) {
            assertThat(said.getMessage()).as(what).isNotBlank();
        } catch (StackOverflowError | RuntimeException e) {
            StackTraceElement[] at = e.getStackTrace();
            StringBuilder ours = new StringBuilder();
            for (StackTraceElement one : at) {
                if (one.getClassName().startsWith("app.matsuri") && ours.length() < 300) {
                    ours.append(' ').append(one);
                }
            }
            wrong.add(what + ": " + e + ours);
        } finally {
            TimeLimit.end();
        }
    }
}
