package app.matsuri.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.outline.Into;
import app.matsuri.exchange.outline.OutlineFile;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.outline.OutlineRow;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.words.DayWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Sheets as teachers keep them, with what they mean: six that were given with their meaning, and eleven of our own (51 on) in four
 * languages. All are made up.
 */
class TeachersSheetTest {

    private static final Path ALL = Path.of("src", "test", "resources", "sheets");

    /** Where the sheet says a rule ("next class", "Fri after"), which comes to a date here, or does not say the kind. */
    private static final Set<String> BY_RULE = Set.of("03 11", "16 27", "16 28", "16 32", "16 37");

    private static final Set<String> KIND_NOT_SAID = Set.of("01 36", "03 27", "04 35", "16 37", "16 69");

    /** A sheet and what it means. */
    record Example(String number, Path file, JsonNode means) {

        Decisions plan() {
            JsonNode term = means.path("term");
            String[] meets = term.path("meets").stringValue().split(" ");
            List<String> off = new ArrayList<>();
            term.path("off")
                    .forEach(o -> off.add("{\"first\":" + o.get(0) + ",\"last\":" + o.get(1) + ",\"reason\":\"off\"}"));
            return Objects.requireNonNull(PlanFile.read("{\"matsuri\":1,\"term\":{\"name\":\"T\",\"first\":"
                            + term.path("first") + ",\"last\":" + term.path("last")
                            + ",\"zone\":\"UTC\",\"closures\":[" + String.join(",", off)
                            + "]},\"courses\":[{\"code\":\"C 1\",\"title\":\"The course\",\"sections\":[{\"code\":\"A\",\"meets\":["
                            + "{\"rule\":\"FREQ=WEEKLY;BYDAY=" + meets[0] + "\",\"start\":\"" + meets[1]
                            + "\",\"minutes\":" + meets[2] + "}]}],\"units\":[]}]}")
                    .decisions());
        }

        OutlineReader.Reading read() throws IOException {
            return read(Files.readAllBytes(file));
        }

        OutlineReader.Reading read(byte[] content) {
            Decisions plan = plan();
            DayWords days = new DayWords(
                    plan.term().first(), plan.term().first(), plan.term().last());
            return OutlineFile.read(
                    new Given(file.getFileName().toString(), content),
                    Into.plan(days, plan, plan.courses().get(0), null));
        }

        String text() throws IOException {
            return Files.readString(file);
        }

        boolean table() {
            return !file.toString().endsWith(".txt");
        }

        @Override
        public String toString() {
            return file.getFileName().toString();
        }
    }

    static Stream<Example> examples() throws IOException {
        try (Stream<Path> files = Files.list(ALL)) {
            return files
                    .filter(f -> !f.toString().endsWith(".json"))
                    .sorted()
                    .map(TeachersSheetTest::example)
                    .toList()
                    .stream();
        }
    }

    private static Example example(Path file) {
        try {
            String number = file.getFileName().toString().substring(0, 2);
            return new Example(
                    number, file, Json.MAPPER.readTree(Files.readString(ALL.resolve(number + ".truth.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A title without what may stand before it. */
    private static String plain(String title) {
        return title.toLowerCase(Locale.ROOT)
                .replaceFirst("^(?:read|hw|homework|project|discussion board|bring|watch)\\s*:?\\s+", "")
                .replaceFirst("^\\d+(?:\\.\\d+)*\\s+", "")
                .replaceFirst("^(?:an?|the)\\s+", "")
                .replaceAll("[^\\p{L}\\d]", "");
    }

    private static boolean alike(String a, String b) {
        return plain(a).contains(plain(b)) || plain(b).contains(plain(a));
    }

    /** Whether something of the row is asked about. */
    private static boolean doubted(OutlineReader.Reading reading, int row) {
        return reading.rows().stream()
                .anyMatch(r -> r.row() == row && !r.doubt().isEmpty());
    }

    @ParameterizedTest
    @MethodSource("examples")
    void itsLessonsAreWhatItSays(Example example) throws IOException {
        OutlineReader.Reading reading = example.read();
        List<String> wrong = new ArrayList<>();
        List<OutlineRow> left = new ArrayList<>(
                reading.rows().stream().filter(r -> r.what().equals("lesson")).toList());
        for (JsonNode unit : example.means().path("units")) {
            for (JsonNode lesson : unit.path("lessons")) {
                int row = lesson.path("row").intValue();
                String title = lesson.path("title").stringValue();
                OutlineRow found = left.stream()
                        .filter(r -> r.row() == row && plain(r.title()).equals(plain(title)))
                        .findFirst()
                        .orElse(null);
                left.remove(found);
                boolean right = found != null
                        && found.sessions() == lesson.path("sessions").intValue()
                        && found.unit().equals(unit.path("title").stringValue(""))
                        && (lesson.path("date").isNull()
                                || lesson.path("date").stringValue().equals(String.valueOf(found.date())));
                if (!right && !doubted(reading, row)) {
                    wrong.add(row + " " + lesson + " was " + found);
                }
            }
        }
        left.stream().filter(r -> r.doubt().isEmpty()).forEach(r -> wrong.add("no lesson: " + r));
        assertThat(wrong).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("examples")
    void itsWorkIsWhatItSays(Example example) throws IOException {
        OutlineReader.Reading reading = example.read();
        List<String> wrong = new ArrayList<>();
        List<OutlineRow> left = new ArrayList<>(
                reading.rows().stream().filter(r -> r.what().equals("work")).toList());
        for (JsonNode work : example.means().path("works")) {
            int row = work.path("row").intValue();
            String title = work.path("title").stringValue();
            OutlineRow found = left.stream()
                    .filter(r -> r.row() == row && plain(r.title()).equals(plain(title)))
                    .findFirst()
                    .orElseGet(() -> left.stream()
                            .filter(r -> r.row() == row && alike(r.title(), title))
                            .findFirst()
                            .orElse(null));
            left.remove(found);
            List<String> faults = found == null ? List.of("none") : faults(example, reading, work, found);
            if (!faults.isEmpty() && !doubted(reading, row)) {
                wrong.add(row + " " + title + ": " + faults + " was " + found);
            }
        }
        left.stream().filter(r -> !doubted(reading, r.row())).forEach(r -> wrong.add("no work: " + r));
        assertThat(wrong).isEmpty();
    }

    private static List<String> faults(
            Example example, OutlineReader.Reading reading, JsonNode work, OutlineRow found) {
        List<String> faults = new ArrayList<>();
        String at = example.number() + " " + found.row();
        if (!KIND_NOT_SAID.contains(at) && !work.path("kind").stringValue().equals(found.kind())) {
            faults.add("kind " + work.path("kind"));
        }
        String lesson = work.path("lesson").isNull() ? "" : work.path("lesson").stringValue();
        if (!work.path("anyOfWeek").booleanValue(false) && !plain(lesson).equals(plain(found.lesson()))) {
            faults.add("lesson " + lesson);
        }
        boolean inClass = work.path("inClass").booleanValue(false) || work.has("dueDay");
        String start = example.means().path("term").path("meets").stringValue().split(" ")[1];
        date(work, "opens", found.opens(), start, false, faults);
        if (!BY_RULE.contains(at)) {
            date(work, "due", found.due(), start, inClass, faults);
        }
        date(work, "closes", found.closes(), start, false, faults);
        number(work, "points", found.points(), faults);
        number(work, "percent", found.percent(), faults);
        number(work, "minutes", found.minutes() == null ? null : BigDecimal.valueOf(found.minutes()), faults);
        return faults;
    }

    private static void date(
            JsonNode work,
            String which,
            @Nullable LocalDateTime found,
            String start,
            boolean inClass,
            List<String> faults) {
        String wanted = work.path(which).isNull() ? "" : work.path(which).stringValue("");
        String was = String.valueOf(found == null ? "" : found);
        boolean right = wanted.equals("start of class")
                ? was.endsWith("T" + start)
                : wanted.contains("T")
                        ? was.equals(wanted)
                        : wanted.isEmpty() ? was.isEmpty() || inClass : was.startsWith(wanted);
        if (!right) {
            faults.add(which + " " + wanted);
        }
    }

    private static void number(JsonNode work, String which, @Nullable BigDecimal found, List<String> faults) {
        JsonNode wanted = work.path(which);
        boolean none = wanted.isNull() || wanted.isMissingNode();
        if (none ? found != null : found == null || found.compareTo(wanted.decimalValue()) != 0) {
            faults.add(which + " " + wanted);
        }
    }

    /** What is neither is neither, and every row that has something says what became of it. */
    @ParameterizedTest
    @MethodSource("examples")
    void whatIsNeitherIsPutAsideWithWhy(Example example) throws IOException {
        OutlineReader.Reading reading = example.read();
        Set<Integer> taken = reading.rows().stream()
                .filter(r -> r.what().equals("lesson") || r.what().equals("work"))
                .map(OutlineRow::row)
                .collect(Collectors.toSet());
        Set<Integer> neither = new HashSet<>();
        example.means().path("notLessons").forEach(n -> neither.add(n.intValue()));
        assertThat(Collections.disjoint(taken, neither))
                .as("%s of %s", taken, neither)
                .isTrue();
        Set<Integer> said = reading.rows().stream().map(OutlineRow::row).collect(Collectors.toSet());
        assertThat(said).containsAll(neither.stream().filter(n -> n > 0).toList());
        assertThat(reading.lines())
                .filteredOn(l -> l.number() > 0)
                .allMatch(l -> !(l.said() + l.doubt()).isBlank(), "says what became of it");
    }

    @ParameterizedTest
    @MethodSource("examples")
    void itsColumnsHaveWhatTheirHeadsSay(Example example) throws IOException {
        OutlineReader.Reading reading = example.read();
        JsonNode columns = example.means().path("columns");
        assertThat(reading.columns().stream().filter(c -> columns.has(c.head())))
                .allMatch(c -> c.meaning().equals(columns.path(c.head()).stringValue()), "as " + columns)
                .hasSize(columns.size());
    }

    private static String said(OutlineReader.Reading reading) {
        return reading.rows().stream()
                .filter(r -> !r.what().equals("nothing"))
                .map(r -> r.what() + "|" + r.unit() + "|" + r.title() + "|" + r.kind() + "|" + r.sessions() + "|"
                        + r.date() + "|" + r.lesson() + "|" + r.opens() + "|" + r.due() + "|" + r.closes() + "|"
                        + r.points())
                .collect(Collectors.joining("\n"));
    }

    private static Example of(String number) throws IOException {
        return examples().filter(e -> e.number().equals(number)).findFirst().orElseThrow();
    }

    /** Rows that mean nothing, put between, change nothing else. */
    @ParameterizedTest
    @MethodSource("examples")
    void strangeRowsBetweenChangeNothing(Example example) throws IOException {
        if (example.file().toString().endsWith(".html")) {
            return; // its rows are no lines
        }
        String text = example.text();
        boolean quoted = text.contains("\"");
        List<String> lines = new ArrayList<>(List.of(text.split("\n", -1)));
        Random random = new Random(20261130);
        for (int i = lines.size() - 1; i > 4 && !quoted; i--) {
            if (random.nextInt(4) == 0) {
                lines.add(i, example.table() ? "" : "");
            }
        }
        lines.add(example.table() ? "* updated by the office" : "");
        assertThat(said(example.read(String.join("\n", lines).getBytes(StandardCharsets.UTF_8))))
                .isEqualTo(said(example.read()));
    }

    /** Columns in another order mean the same. */
    @Test
    void columnsInAnotherOrderMeanTheSame() throws IOException {
        Example example = of("01");
        List<String[]> rows = Stream.of(example.text().split("\n"))
                .map(l -> l.split("\t", -1))
                .toList();
        List<Integer> order = new ArrayList<>(List.of(0, 1, 2, 3, 4, 5, 6, 7, 8, 9));
        String before = said(example.read()).lines().sorted().collect(Collectors.joining("\n"));
        for (int seed = 0; seed < 5; seed++) {
            Collections.shuffle(order, new Random(seed));
            String text = rows.stream()
                    .map(r -> order.stream().map(c -> c < r.length ? r[c] : "").collect(Collectors.joining("\t")))
                    .collect(Collectors.joining("\n"));
            String now = said(example.read(text.getBytes(StandardCharsets.UTF_8)))
                    .lines()
                    .sorted()
                    .collect(Collectors.joining("\n"));
            assertThat(now).as("%s", order).isEqualTo(before);
        }
    }

    /** Read again into the course that it made, a sheet adds nothing. */
    @ParameterizedTest
    @MethodSource("examples")
    void readAgainItAddsNothing(Example example) throws IOException {
        Decisions plan = example.plan();
        DayWords days = new DayWords(
                plan.term().first(), plan.term().first(), plan.term().last());
        Given given = new Given(example.file().getFileName().toString(), Files.readAllBytes(example.file()));
        var course = plan.courses().get(0);
        var once = course.withUnits(
                OutlineFile.read(given, Into.plan(days, plan, course, null)).units());
        OutlineReader.Reading again = OutlineFile.read(given, Into.plan(days, plan.withCourse(once), once, null));
        assertThat(again.units()).isEmpty();
    }

    /** Whatever is done to a file, it ends in a clear answer; {@code -DargLine=-Dmutated=20000} for many. */
    @Test
    void mutatedFilesEndInAClearAnswer() throws IOException {
        List<Example> all = examples().toList();
        Random random = new Random(20261130);
        int rounds = Integer.getInteger("mutated", 150);
        for (int round = 0; round < rounds; round++) {
            Example example = all.get(random.nextInt(all.size()));
            byte[] bytes = Files.readAllBytes(example.file());
            for (int n = random.nextInt(12); n >= 0; n--) {
                int at = random.nextInt(bytes.length);
                switch (random.nextInt(4)) {
                    case 0 -> bytes[at] = (byte) random.nextInt(256);
                    case 1 -> bytes[at] = "\t\n\";,()0/–".getBytes(StandardCharsets.UTF_8)[random.nextInt(9)];
                    case 2 -> bytes = java.util.Arrays.copyOf(bytes, Math.max(10, bytes.length - random.nextInt(40)));
                    default -> System.arraycopy(bytes, 0, bytes, at, Math.min(30, bytes.length - at));
                }
            }
            byte[] mutated = bytes;
            assertTimeoutPreemptively(
                    Duration.ofSeconds(2),
                    () -> {
                        try {
                            assertThat(example.read(mutated).lines()).isNotNull();
                        } catch (Unreadable e) {
                            assertThat(e.getMessage()).contains("“" + example + "”");
                        }
                    },
                    () -> example + ": " + new String(mutated, StandardCharsets.UTF_8));
        }
    }
}
