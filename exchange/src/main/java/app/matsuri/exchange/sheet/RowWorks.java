package app.matsuri.exchange.sheet;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What the other columns of a row say of its work: when it opens, is due and closes, points, percent, minutes, who marks. */
final class RowWorks {

    private static final Pattern FACT = Pattern.compile(
            "(?iu)(?:\\b(\\p{L}+)\\s+)?(?:(\\d{1,3}(?:[.,]\\d)?)\\s*(%)|(\\d{1,3})\\s*(min(?:utes)?)\\b|(\\d{1,4})\\s*(pts?|points?)\\b)");
    private static final Pattern POINTS = Pattern.compile(
            "(?iu)\\s*(\\d{1,4}(?:[.,]\\d+)?)\\s*(?:pts?|points?|punkte)?\\s*(each|je|chacun|cada uno)?.*");
    private static final Pattern SHARE = Pattern.compile("\\s*(\\d{1,3}(?:[.,]\\d+)?)\\s*%?.*");
    private static final Pattern TIME = Pattern.compile("(?iu)\\s*~?(\\d{1,3}(?:[.,]\\d)?)\\s*(h|hours?|hrs?)?.*");
    private static final Pattern REPLIES = Pattern.compile("(?is)^(.*?),\\s*(repl(?:y|ies)\\b.*)$");
    private static final Pattern AUTO = Pattern.compile("(?iu).*\\b(?:auto-?graded|machine[- ]marked)\\b.*");

    private final SheetRow row;
    private final Columns columns;
    private final WorkWords words;

    RowWorks(SheetRow row, Columns columns, WorkWords words) {
        this.row = row;
        this.columns = columns;
        this.words = words;
    }

    /** Where the work of a column stands. */
    WorkWords.Place place(int column, @Nullable LocalDate day) {
        Meaning meaning = columns.meanings().get(column);
        String head = columns.names().get(column).toLowerCase(Locale.ROOT);
        String kind = switch (meaning) {
            case READING -> "reading";
            case LAB -> "lab";
            case TEST -> "test";
            default ->
                head.matches(".*\\b(?:home ?work|hw|assignments?|hausaufgaben?|devoirs?|deberes|tareas?)\\b.*")
                                && meaning == Meaning.WORK
                        ? "homework"
                        : head.matches("projects?") ? "project" : "";
        };
        return new WorkWords.Place(row.number(), kind, meaning == Meaning.READING, day);
    }

    /**
     * Gives what the other columns say.
     *
     * @param works those that they can mean, in the order of the row
     * @param all with the readings, which remarks may mean too
     */
    void fill(List<Work> works, List<Work> all, @Nullable LocalDate day) {
        List<Work> some = works.isEmpty() ? all : works;
        dates(some, Meaning.DUE, day, (w, when) -> {
            boolean keeps =
                    w.opens != null && w.opens.time() != null && w.due != null && when.sort() == When.Sort.IN_CLASS;
            w.due = keeps ? w.due : when;
            w.inClass = when.sort() == When.Sort.IN_CLASS;
        });
        dates(some, Meaning.OPENS, day, (w, when) -> w.opens = when);
        dates(some, Meaning.CLOSES, day, (w, when) -> w.closes = when);
        points(some);
        share(some);
        minutes(some);
        String marker = columns.cell(row, Meaning.MARKER);
        if (!marker.isBlank()) {
            String marking = marker.toLowerCase(Locale.ROOT).matches(".*\\b(?:auto|machine|computer|lms|online)\\b.*")
                    ? "machine"
                    : marker.matches("(?iu)\\s*(?:none|nobody|not marked|-|–)\\s*") ? "not-marked" : "instructor";
            some.forEach(w -> w.marking = w.marking.isEmpty() ? marking : w.marking);
        }
        for (int c = 0; c < columns.meanings().size(); c++) {
            if (columns.meanings().get(c) == Meaning.NOTES) {
                remark(row.cell(c), some);
            }
        }
    }

    private static List<String> parts(String cell) {
        return Arrays.stream(cell.split("\\s*(?:;|\\R)\\s*"))
                .filter(p -> !p.isBlank())
                .toList();
    }

    private void dates(List<Work> row, Meaning meaning, @Nullable LocalDate day, BiConsumer<Work, When> set) {
        String cell = columns.cell(this.row, meaning);
        if (cell.isBlank() || WhenWords.nothing(cell) || row.isEmpty()) {
            return;
        }
        List<String> parts = parts(cell);
        // one date beside a lab and other work is the other work's
        List<Work> others = row.stream().filter(w -> !w.kind.equals("lab")).toList();
        List<Work> works = parts.size() == row.size() || others.isEmpty() ? row : others;
        if (parts.size() > 1 && parts.size() != works.size()) {
            works.get(0)
                    .doubts
                    .add("“" + cell.replaceAll("\\s+", " ") + "” under " + meaning.said()
                            + ": which work is meant is not clear.");
        }
        for (int w = 0; w < works.size(); w++) {
            String part = parts.size() == works.size() ? parts.get(w) : parts.get(0);
            Work work = works.get(w);
            Matcher replies = REPLIES.matcher(part);
            if (replies.matches()) {
                work.doubts.add(
                        "It has two times to be handed in; the first was taken: “" + replies.group(2) + "” was not.");
                part = replies.group(1);
            }
            if (meaning != Meaning.DUE && RowWords.bracketed(part)) {
                continue;
            }
            Optional<When> when = words.when().whole(part, day, meaning == Meaning.OPENS);
            if (when.isPresent() && when.get().sort() == When.Sort.WORDS) {
                when = Optional.of(inside(work, part, when.get(), meaning));
            }
            when.ifPresent(said -> set.accept(work, said));
        }
    }

    /** A day among words that are not understood is taken and asked about. */
    private When inside(Work work, String part, When words, Meaning meaning) {
        List<SheetDays.Found> found = this.words.when().days().find(part);
        if (found.isEmpty()) {
            return words;
        }
        work.doubts.add("“" + part.strip() + "”: is that when it "
                + (meaning == Meaning.DUE ? "is due" : meaning.said()) + ", or a remark?");
        return When.day(found.get(0).first(), null, part);
    }

    private void points(List<Work> works) {
        String cell = columns.cell(row, Meaning.POINTS);
        if (cell.isBlank() || works.isEmpty() || cell.startsWith("=")) {
            return;
        }
        List<String> parts = parts(cell.replaceAll("\\s*/\\s*", ";"));
        Matcher each = POINTS.matcher(cell);
        if (parts.size() == works.size() && works.size() > 1) {
            for (int i = 0; i < works.size(); i++) {
                Matcher m = POINTS.matcher(parts.get(i));
                works.get(i).points = m.matches() ? WorkFacts.number(m.group(1)) : null;
            }
        } else if (each.matches()) {
            BigDecimal points = WorkFacts.number(each.group(1));
            boolean all = each.group(2) != null || works.size() == 1;
            Work one = works.stream()
                    .filter(Work::test)
                    .findFirst()
                    .orElseGet(() -> works.stream()
                            .filter(w -> !w.kind.equals("lab"))
                            .findFirst()
                            .orElse(works.get(0)));
            (all ? works : List.of(one)).forEach(w -> w.points = points);
            if (!all) {
                one.doubts.add("The row has " + works.size() + " works and one number of points, " + cell
                        + ": it was taken for “" + one.title + "”.");
            }
        } else if (!WhenWords.nothing(cell)) {
            works.get(0).doubts.add("“" + cell + "” is no number of points.");
        }
    }

    private void share(List<Work> works) {
        Matcher m = SHARE.matcher(columns.cell(row, Meaning.PERCENT));
        if (!works.isEmpty() && m.matches()) {
            works.get(0).percent = WorkFacts.number(m.group(1));
        }
    }

    private void minutes(List<Work> works) {
        String cell = columns.cell(row, Meaning.MINUTES);
        Matcher m = TIME.matcher(cell);
        if (!works.isEmpty() && m.matches()) {
            BigDecimal n = WorkFacts.number(m.group(1));
            works.get(0).minutes = (m.group(2) == null ? n : n.multiply(BigDecimal.valueOf(60))).intValue();
        }
    }

    /** "midterm 15%", "quiz 15 min", "25%": of the work that is named, else of the only one. */
    private static void remark(String cell, List<Work> works) {
        List<Work> open = new ArrayList<>(works);
        Matcher m = FACT.matcher(cell);
        while (m.find()) {
            String noun = m.group(1) == null ? "" : m.group(1).toLowerCase(Locale.ROOT);
            Work work = open.stream()
                    .filter(w ->
                            !noun.isEmpty() && w.title.toLowerCase(Locale.ROOT).contains(noun) || w.kind.equals(noun))
                    .findFirst()
                    .orElse(
                            works.size() == 1
                                            && (noun.isEmpty() || m.start() == 0)
                                            && cell.strip()
                                                    .replaceFirst("[.]$", "")
                                                    .equals(m.group().strip())
                                    ? works.get(0)
                                    : null);
            if (work == null) {
                continue;
            }
            if (m.group(3) != null && work.percent == null) {
                work.percent = WorkFacts.number(m.group(2));
            } else if (m.group(5) != null && work.minutes == null) {
                work.minutes = Integer.valueOf(m.group(4));
            } else if (m.group(7) != null && work.points == null) {
                work.points = WorkFacts.number(m.group(6));
            }
        }
        boolean auto = AUTO.matcher(cell).matches();
        if (auto && works.size() == 1) {
            works.get(0).marking = "machine";
        }
    }
}
