package app.matsuri.exchange.school;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.school.Finding.What;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Calendars as schools publish them, in four languages, with what they mean: eight that were given with their meaning, and twenty of our own
 * (51 on). All are made up.
 */
class SchoolCalendarTest {

    private static final Path ALL = Path.of("src", "test", "resources", "schools");
    private static final Set<DayOfWeek> WEEK = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
    private static final LocalDate FIRST = LocalDate.of(2026, 8, 24);
    private static final LocalDate LAST = LocalDate.of(2026, 12, 11);

    /** A calendar and what it means. */
    record Example(Path file, JsonNode means) {

        LocalDate day(String field) {
            return LocalDate.parse(means.path(field).stringValue());
        }

        List<Finding> read() throws IOException {
            return read(Files.readAllBytes(file));
        }

        List<Finding> read(byte[] content) {
            return SchoolCalendar.read(
                    new Given(file.getFileName().toString(), content),
                    new SchoolCalendar.Term(day("first"), day("last"), WEEK, null));
        }

        Set<String> set(String field, int parts) {
            Set<String> all = new TreeSet<>();
            means.path(field).forEach(one -> {
                StringBuilder said =
                        new StringBuilder(one.isArray() ? one.get(0).stringValue() : one.asString());
                for (int k = 1; k < parts; k++) {
                    said.append(' ').append(one.get(k).stringValue());
                }
                all.add(said.toString());
            });
            return all;
        }

        @Override
        public String toString() {
            return file.getFileName().toString();
        }
    }

    static Stream<Example> examples() throws IOException {
        try (Stream<Path> files = Files.list(ALL)) {
            return files.filter(f -> !f.toString().endsWith(".json")).sorted().toList().stream()
                    .map(SchoolCalendarTest::example);
        }
    }

    private static Example example(Path file) {
        try {
            String number = file.getFileName().toString().substring(0, 2);
            return new Example(file, Json.MAPPER.readTree(Files.readString(ALL.resolve(number + ".truth.json"))));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Set<String> days(Stream<LocalDate> all, Example example) {
        Set<String> open = example.set("open", 1);
        return all.filter(d -> WEEK.contains(d.getDayOfWeek()))
                .filter(d -> !d.isBefore(example.day("first")) && !d.isAfter(example.day("last")))
                .map(LocalDate::toString)
                .filter(d -> !open.contains(d))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Stream<LocalDate> run(Finding f) {
        return Objects.requireNonNull(f.first())
                .datesUntil(Objects.requireNonNull(f.last()).plusDays(1));
    }

    private static Set<String> of(List<Finding> found, What what, java.util.function.Function<Finding, String> said) {
        return found.stream().filter(f -> f.what() == what).map(said).collect(Collectors.toCollection(TreeSet::new));
    }

    private static String hours(Finding f) {
        String to = LocalTime.MIDNIGHT.equals(f.to()) ? "24:00" : String.valueOf(f.to());
        return f.first() + " " + f.from() + " " + to;
    }

    @ParameterizedTest
    @MethodSource("examples")
    void itMeansWhatItMeansAndNothingWrongIsTakenInSilence(Example example) throws IOException {
        List<Finding> found = example.read();
        Set<String> off = new TreeSet<>();
        example.means()
                .path("off")
                .forEach(o -> off.addAll(days(
                        LocalDate.parse(o.get(0).stringValue())
                                .datesUntil(
                                        LocalDate.parse(o.get(1).stringValue()).plusDays(1)),
                        example)));
        assertThat(days(
                        found.stream()
                                .filter(f -> f.what() == What.OFF)
                                .filter(Finding::taken)
                                .flatMap(SchoolCalendarTest::run),
                        example))
                .as("off")
                .isEqualTo(off);
        assertThat(of(found.stream().filter(Finding::taken).toList(), What.PART, SchoolCalendarTest::hours))
                .as("parts of days")
                .isEqualTo(example.set("part", 3));
        assertThat(of(found, What.RUNS_AS, f -> f.first() + " " + Words.weekday(Objects.requireNonNull(f.as()))))
                .as("runs as")
                .isEqualTo(example.set("runsAs", 2));
        assertThat(of(found, What.TEACHES, f -> f.first().toString()))
                .as("teaches")
                .isEqualTo(example.set("extra", 1));
        assertThat(of(found, What.RESERVE, f -> f.first().toString()))
                .as("reserve")
                .isEqualTo(example.set("reserve", 1));
        Set<String> unsaid = example.set("unsaid", 1);
        for (String end : List.of("first", "last")) {
            Set<String> said = of(
                    found,
                    end.equals("first") ? What.FIRST_CLASS : What.LAST_CLASS,
                    f -> f.first().toString());
            assertThat(said)
                    .as(end + " class")
                    .isSubsetOf(example.means().path(end).stringValue());
            assertThat(said.isEmpty()).as(end + " class is said").isEqualTo(unsaid.contains(end));
        }
        assertThat(found.stream()
                        .filter(f -> !f.doubt().isEmpty())
                        .map(f -> String.valueOf(f.line()))
                        .collect(Collectors.toSet()))
                .as("doubts")
                .isEqualTo(example.set("doubt", 1));
        Set<String> not = example.set("notOff", 1);
        assertThat(found)
                .filteredOn(f -> not.contains(String.valueOf(f.line())))
                .noneMatch(f -> f.taken() && f.what() == What.OFF);
    }

    private static List<Finding> one(String line) {
        return SchoolCalendar.read("Fall 2026\n" + line, new SchoolCalendar.Term(FIRST, LAST, WEEK, null));
    }

    private static String said(Finding f) {
        return f.what()
                + (f.first() == null ? "" : " " + f.first())
                + (Objects.equals(f.first(), f.last()) || f.last() == null ? "" : " to " + f.last())
                + (f.from() == null ? "" : " " + hours(f).substring(11))
                + (f.as() == null ? "" : " " + f.as())
                + (f.doubt().isEmpty() ? "" : " ?");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "Classes end at noon Nov 24; Thanksgiving recess through Nov 29 | PART 2026-11-24 12:00 24:00; OFF 2026-11-25 to 2026-11-29",
                "Friday, Oct 16 - No School; Parent/Teacher Conferences 8:00-3:00 | OFF 2026-10-16",
                "Oct. 12 - Columbus Day - School in Session | NOTHING",
                "Oct 13 late start 10:00 | PART 2026-10-13 00:00 10:00",
                "Classes will follow a Friday schedule on Tuesday, Nov 24. | RUNS_AS 2026-11-24 FRIDAY",
                "On Wed., Nov. 25, Monday classes will meet | RUNS_AS 2026-11-25 MONDAY",
                "Nov 23-24 classes meet; Nov 25-29 Fall Break | OFF 2026-11-25 to 2026-11-29",
                "Nov 25-27 Thanksgiving Break - offices closed Nov 26-27 | OFF 2026-11-25 to 2026-11-27",
                "Oct 9: Early dismissal | PART 2026-10-09 12:00 24:00 ?",
                "Oct 30 Staff retreat, classes may be cancelled | OFF 2026-10-30 ?",
                "Nov 3 Election Day | OFF 2026-11-03 ?",
                "Nov 3 (Monday) no classes | OFF 2026-11-03 ?",
                "31 Nov no class | NOTHING ?",
                "Sat Oct 24 classes meet (make-up for Oct 12) | TEACHES 2026-10-24",
                "w/c 26 October - reading week, no classes | OFF 2026-10-26 to 2026-11-01",
                "Good Friday 25/09, Easter Monday 28/09 | OFF 2026-09-25; OFF 2026-09-28",
                "Oct 5-6 & 9: no classes | OFF 2026-10-05 to 2026-10-06; OFF 2026-10-09",
                "Oct 5-6, 8-9: no classes | OFF 2026-10-05 to 2026-10-06; OFF 2026-10-08 to 2026-10-09",
                "• Oct 7-8, Fall break | OFF 2026-10-07 to 2026-10-08",
                "24.12. bis einschl. 06.01. Weihnachtsferien | NOTHING",
                "Revised 10/12/26: no classes on Oct 5 | NOTHING",
                "Oct 14 SAT testing | NOTHING",
                "Oct 1 Fees due | NOTHING",
                "Der Dekan am 9.10. ab 13 Uhr: keine Vorlesungen | PART 2026-10-09 13:00 24:00"
            })
    void oneLineAtATime(String line, String means) {
        assertThat(one(line).stream().map(SchoolCalendarTest::said).collect(Collectors.joining("; ")))
                .as(line)
                .isEqualTo(means);
    }

    /** Taken together: what is taken of a calendar, without where it stands. */
    private static Set<String> taken(List<Finding> found) {
        return found.stream()
                .filter(f -> f.what() != What.NOTHING)
                .map(SchoolCalendarTest::said)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** In calendars whose lines have their months with them, order, bullets and strange lines between change nothing else. */
    @Test
    void shuffledWithBulletsAndWithLinesOfSomethingElseItMeansTheSame() throws IOException {
        Random random = new Random(18);
        for (String number : List.of("62", "69", "52", "58", "57")) {
            Example example = example(ALL.resolve(number + ".txt"));
            List<String> lines = new ArrayList<>(Files.readAllLines(example.file()));
            Set<String> as = taken(example.read());
            for (int round = 0; round < 8; round++) {
                List<String> head = lines.subList(0, 1);
                List<String> rest = new ArrayList<>(lines.subList(1, lines.size()));
                Collections.shuffle(rest, random);
                List<String> other = new ArrayList<>(head);
                for (String line : rest) {
                    if (random.nextInt(3) == 0) {
                        other.add("The bell rings for everybody who listens.");
                    }
                    other.add((random.nextBoolean() && !line.isBlank() ? "• " : "") + line);
                }
                assertThat(taken(example.read(String.join("\n", other).getBytes(StandardCharsets.UTF_8))))
                        .as(number + " shuffled")
                        .isEqualTo(as);
            }
        }
    }

    /** The same said in English, German, French and Spanish. */
    private static final List<List<String>> IN_FOUR = List.of(
            List.of(
                    "Oct 5-7: Fall break, no classes",
                    "5.10. – 7.10. Herbstferien",
                    "5 au 7 octobre : vacances d'automne",
                    "5 al 7 de octubre: vacaciones de otoño"),
            List.of(
                    "Mon Oct 12 Holiday, no classes",
                    "Mo 12.10. Feiertag, vorlesungsfrei",
                    "lundi 12 octobre : férié, pas de cours",
                    "lunes 12 de octubre: festivo, no hay clases"),
            List.of(
                    "Wed Oct 14: classes follow a Monday schedule",
                    "Mi 14.10. nach Montagsplan",
                    "mercredi 14 octobre : horaire du lundi",
                    "miércoles 14 de octubre: horario de lunes"),
            List.of(
                    "Fri Oct 23: no classes after 12:00",
                    "Fr 23.10. ab 12 Uhr unterrichtsfrei",
                    "vendredi 23 octobre : pas de cours à partir de 12h",
                    "viernes 23 de octubre: sin clases a partir de las 12:00"),
            List.of(
                    "Sep 15 Tuition due",
                    "15.9. Rückmeldung, Gebühren fällig",
                    "15 septembre : date limite d'inscription",
                    "15 de septiembre: límite de inscripción"));

    /** Lines in four languages mixed, in any order, mean what they mean in one. */
    @Test
    void languagesMixedMeanTheSame() {
        Random random = new Random(1811);
        Set<String> as = Set.of(
                "OFF 2026-10-05 to 2026-10-07",
                "OFF 2026-10-12",
                "RUNS_AS 2026-10-14 MONDAY",
                "PART 2026-10-23 12:00 24:00");
        for (int round = 0; round < 60; round++) {
            List<String> lines = new ArrayList<>();
            for (List<String> fact : IN_FOUR) {
                int language = round < 4 ? round : random.nextInt(4);
                lines.add((random.nextInt(3) == 0 ? "• " : "") + fact.get(language));
            }
            Collections.shuffle(lines, random);
            assertThat(taken(one(String.join("\n", lines))))
                    .as(String.join("\n", lines))
                    .isEqualTo(as);
        }
    }

    /** Broken anywhere, a file is read or refused in words, and soon. */
    @Test
    void mutatedFilesEndInAClearAnswer() throws IOException {
        Random random = new Random(180);
        List<Example> all = examples().toList();
        int rounds = Integer.getInteger("mutated", 200);
        for (int k = 0; k < rounds; k++) {
            Example example = all.get(k % all.size());
            byte[] bytes = Files.readAllBytes(example.file());
            int changes = 1 + random.nextInt(8);
            for (int c = 0; c < changes; c++) {
                int at = random.nextInt(bytes.length);
                switch (random.nextInt(4)) {
                    case 0 -> bytes[at] = (byte) random.nextInt(256);
                    case 1 -> bytes = cut(bytes, at, random.nextInt(20));
                    case 2 -> bytes = twice(bytes, at, random.nextInt(200));
                    default -> bytes[at] = (byte) "\n\t-/.,;:()0123456789\"".charAt(random.nextInt(21));
                }
            }
            byte[] mutated = bytes;
            assertTimeoutPreemptively(Duration.ofSeconds(2), () -> {
                try {
                    assertThat(example.read(mutated)).allMatch(f -> f.line() > 0);
                } catch (Unreadable e) {
                    assertThat(e.getMessage()).isNotBlank();
                }
            });
        }
    }

    private static byte[] cut(byte[] bytes, int at, int length) {
        byte[] left = Arrays.copyOf(bytes, bytes.length);
        int end = Math.min(bytes.length, at + length);
        System.arraycopy(bytes, end, left, at, bytes.length - end);
        return bytes.length - (end - at) < 1 ? bytes : Arrays.copyOf(left, bytes.length - (end - at));
    }

    private static byte[] twice(byte[] bytes, int at, int length) {
        int end = Math.min(bytes.length, at + length);
        byte[] more = Arrays.copyOf(bytes, bytes.length + end - at);
        System.arraycopy(bytes, at, more, end, bytes.length - at);
        return more;
    }

    @Test
    void tooManyLinesAreRefusedWithWhatToDo() {
        assertThatThrownBy(() ->
                        SchoolCalendar.read("a\n".repeat(6_000), new SchoolCalendar.Term(FIRST, LAST, WEEK, null)))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("at most 5,000");
    }
}
