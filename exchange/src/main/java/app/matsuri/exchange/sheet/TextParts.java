package app.matsuri.exchange.sheet;

import app.matsuri.core.calendar.Say;
import app.matsuri.exchange.sheet.Entry.Given;
import app.matsuri.exchange.sheet.Entry.Taught;
import app.matsuri.exchange.words.KindWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads an outline that is typed as text: lines with indents, bullets, numbers or days before them. A line is a unit, a lesson
 * or work by how deep it stands, or, where lines begin with days, by whether it does.
 */
final class TextParts {

    private static final Pattern BULLET = Pattern.compile("^(?:[-*•·▪◦‣+o]|[a-z]\\))\\s+");
    private static final Pattern HEADING = Pattern.compile("^(#{1,4})\\s+(.*)$", Pattern.DOTALL);
    private static final Pattern LESSON_NUMBER = Pattern.compile("^\\d{1,2}\\.\\d{1,2}[.):]?\\s+\\S.*", Pattern.DOTALL);
    private static final Pattern UNIT_NUMBER = Pattern.compile(
            "(?iu)^(?:(?:unit|module|part|chapter|section|block|einheit|kapitel|teil|unité|module|partie|chapitre|unidad|módulo|parte|bloque)\\s+(?:\\d{1,2}|[IVX]{1,5})\\b|[IVX]{1,5}\\.\\s).*",
            Pattern.DOTALL);
    private static final Pattern WEEK_LINE = Pattern.compile(
            "(?iu)^(?:week|wk|woche|semaine|semana)\\s*(?:#|no\\.?)?\\s*(\\d{1,2})\\b.*", Pattern.DOTALL);
    private static final Pattern BESIDES =
            Pattern.compile("(?iu);\\s*(?=(?:read|watch|hw|homework|quiz|due|bring|lesen|lire|leer)\\b)");
    private static final Pattern WORK_LINE = Pattern.compile(
            "(?iu)^(?:" + KindWords.ANY + "|read|watch|bring|due|paper|essay|worksheet|opens)\\b.*", Pattern.DOTALL);
    private static final Pattern LOOKS_DUE =
            Pattern.compile("(?iu).*[,:]?\\s\\b(?:due|fällig|à rendre)\\b.*", Pattern.DOTALL);

    private final SheetDays days;
    private final SheetTerm term;
    private final WorkWords words;
    private final List<Entry> entries = new ArrayList<>();
    private final HandedOut handed = new HandedOut();

    private @Nullable Taught last;
    private boolean units;
    private boolean weeks;

    /** The first day of the week that the lines stand in; null where they stand in none. */
    private @Nullable LocalDate monday;

    /** A line, taken apart. */
    private static final class Line {
        final int number;
        final int indent;
        final boolean bullet;
        final int heading;
        final String text;

        /** The day it begins with; null for none. */
        SheetDays.@Nullable Found day;

        String role = "";

        Line(int number, String given) {
            this.number = number;
            String expanded = given.replace("\t", "    ");
            int at = 0;
            while (at < expanded.length() && Character.isWhitespace(expanded.charAt(at))) {
                at++;
            }
            String content = expanded.strip();
            Matcher heading = HEADING.matcher(content);
            boolean headed = heading.matches();
            this.heading = headed ? heading.group(1).length() : 0;
            content = headed ? heading.group(2) : content;
            Matcher bullet = BULLET.matcher(content);
            this.bullet = bullet.find();
            this.indent = at;
            this.text = this.bullet ? content.substring(bullet.end()).strip() : content;
        }
    }

    private TextParts(SheetDays days) {
        this.days = days;
        this.term = days.of();
        this.words = new WorkWords(days);
    }

    /**
     * The parts of a text.
     *
     * @param said what a person said of lines, by number: "lesson", "work", "unit" or "nothing"
     */
    static List<Entry> read(List<SheetRow> rows, SheetDays days, Map<Integer, String> said) {
        TextParts text = new TextParts(days);
        List<Line> lines = new ArrayList<>();
        for (SheetRow row : rows) {
            if (!row.blank()) {
                Line line = new Line(row.number(), row.cell(0));
                line.day = days.leading(line.text, 2).orElse(null);
                lines.add(line);
            }
        }
        long dated = lines.stream()
                .filter(l -> l.day != null && !RowWords.bracketed(l.text))
                .count();
        long weeks =
                lines.stream().filter(l -> WEEK_LINE.matcher(l.text).matches()).count();
        if (weeks >= 2) {
            text.byWeeks(lines);
        } else if (dated >= 3 && dated * 6 >= lines.size()) {
            text.byDays(lines);
        } else {
            text.byDepth(lines);
        }
        for (Line line : lines) {
            text.line(line, said.getOrDefault(line.number, line.role));
        }
        text.handed.open(text.entries);
        return text.entries;
    }

    /** Lines that name weeks, below them classes by their weekday, below those work. */
    private void byWeeks(List<Line> lines) {
        int depth = Integer.MAX_VALUE;
        boolean seen = false;
        for (Line line : lines) {
            if (WEEK_LINE.matcher(line.text).matches()) {
                line.role = "week";
                seen = true;
                depth = Integer.MAX_VALUE;
            } else if (!seen) {
                line.role = "title";
            } else if (!RowWords.labelled(line.text).days().isEmpty() || line.day != null && line.indent <= depth) {
                line.role = "lesson";
                depth = Math.min(depth, line.indent);
            } else {
                boolean work =
                        line.indent > depth || WORK_LINE.matcher(line.text).matches();
                line.role =
                        work ? "work" : line.text.length() > 90 || RowWords.comment(line.text) ? "nothing" : "lesson";
                depth = work ? depth : Math.min(depth, line.indent);
            }
        }
    }

    /** Lines that begin with a day are classes; what stands before them and less deep are units, what stands below is work. */
    private void byDays(List<Line> lines) {
        int depth = lines.stream()
                .filter(l -> l.day != null)
                .mapToInt(l -> l.indent)
                .min()
                .orElse(0);
        boolean seen = false;
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            boolean classes = false;
            for (int j = i + 1; j < lines.size() && !classes; j++) {
                Line next = lines.get(j);
                if (next.day == null
                        && next.indent <= line.indent
                        && next.heading == 0
                        && !next.bullet
                        && !WORK_LINE.matcher(next.text).matches()) {
                    break;
                }
                classes = next.day != null;
            }
            boolean shallow = line.indent < depth || depth == 0 && !line.bullet && line.indent == 0;
            if (line.day != null) {
                line.role = "lesson";
                seen = true;
            } else if (line.heading > 0
                    || shallow
                            && classes
                            && !WORK_LINE.matcher(line.text).matches()
                            && titled(line.text)
                            && (UNIT_NUMBER.matcher(line.text).matches() || line.indent < depth || follows(lines, i))) {
                line.role = "unit";
            } else if (seen
                    && (line.indent > depth
                            || line.bullet
                            || WORK_LINE.matcher(line.text).matches() && line.indent >= depth)) {
                line.role = "work";
            } else {
                line.role = "nothing";
            }
        }
    }

    /** Whether the line just below is a class. */
    private static boolean follows(List<Line> lines, int i) {
        return i + 1 < lines.size() && lines.get(i + 1).day != null;
    }

    private static boolean titled(String text) {
        return text.length() <= 90 && !RowWords.comment(text) && !text.matches("(?s).*[.!?]\\s+\\p{Lu}.*\\.$");
    }

    /** The depth of headings that name units: a first one that stands alone names the course. */
    private static int top(List<Line> lines) {
        int least =
                lines.stream().mapToInt(l -> l.heading).filter(h -> h > 0).min().orElse(1);
        long such = lines.stream().filter(l -> l.heading == least).count();
        return such > 1
                ? least
                : lines.stream()
                        .mapToInt(l -> l.heading)
                        .filter(h -> h > least)
                        .min()
                        .orElse(least);
    }

    /** By indents, bullets and headings: units, below them lessons, below those work. */
    private void byDepth(List<Line> lines) {
        List<Integer> depths = new ArrayList<>();
        List<Integer> levels = new ArrayList<>();
        List<Boolean> titles = new ArrayList<>();
        boolean headings = lines.stream().anyMatch(l -> l.heading > 0);
        boolean numbered = lines.stream()
                        .filter(l -> LESSON_NUMBER.matcher(l.text).matches())
                        .count()
                >= 2;
        boolean flat = lines.stream().mapToInt(l -> l.indent).distinct().count() == 1;
        int least = lines.stream().mapToInt(l -> l.indent).min().orElse(0);
        boolean mixed =
                flat && lines.stream().anyMatch(l -> l.bullet) && lines.stream().anyMatch(l -> !l.bullet);
        boolean named = flat
                && lines.stream()
                                .filter(l -> UNIT_NUMBER.matcher(l.text).matches())
                                .count()
                        >= 1;
        int under = 0;
        for (Line line : lines) {
            int level;
            if (headings) {
                under = line.heading > 0 ? line.heading : under;
                int top = top(lines);
                while (titles.size() < levels.size()) {
                    titles.add(false);
                }
                titles.add(line.heading > 0 && line.heading < top);
                level = line.heading > 0
                        ? Math.max(0, line.heading - top)
                        : Math.max(0, under - top) + 1 + (line.indent > least ? 1 : 0);
            } else if (flat && numbered) {
                level = LESSON_NUMBER.matcher(line.text).matches() ? 1 : line.bullet ? 2 : 0;
            } else if (mixed || named) {
                boolean unit = named ? UNIT_NUMBER.matcher(line.text).matches() : !line.bullet;
                boolean work = WORK_LINE.matcher(line.text).matches()
                        && (line.bullet || LOOKS_DUE.matcher(line.text).matches());
                level = unit ? 0 : named && mixed ? line.bullet ? 2 : 1 : work && named ? 2 : 1;
            } else {
                while (!depths.isEmpty() && depths.get(depths.size() - 1) >= line.indent) {
                    depths.remove(depths.size() - 1);
                }
                level = depths.size();
                depths.add(line.indent);
            }
            levels.add(level);
        }
        boolean children = levels.stream().anyMatch(l -> l > 0);
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            int level = levels.get(i);
            boolean due = LOOKS_DUE.matcher(line.text).matches();
            if (i < titles.size() && titles.get(i)) {
                line.role = "title";
            } else if (level == 0 && !due) {
                boolean parent = i + 1 < lines.size() && levels.get(i + 1) > 0;
                boolean first =
                        i + 1 < lines.size() && levels.subList(0, i).stream().allMatch(l -> l == 0);
                line.role = parent || !children
                        ? "unit"
                        : UNIT_NUMBER.matcher(line.text).matches() ? "unit" : first ? "title" : "nothing";
            } else {
                line.role = level == 1 && !due ? "lesson" : "work";
            }
        }
    }

    private void line(Line line, String role) {
        switch (role) {
            case "unit" -> unit(line);
            case "lesson" -> lesson(line);
            case "work" -> work(line);
            case "week" -> week(line);
            case "title" -> entries.add(Entry.nothing(line.number, "title"));
            default -> entries.add(Entry.nothing(line.number, "a remark"));
        }
    }

    private void week(Line line) {
        List<SheetDays.Found> found = days.find(line.text);
        Matcher number = WEEK_LINE.matcher(line.text);
        int week = number.matches() ? Integer.parseInt(number.group(1)) : 0;
        LocalDate of = week > 0 && week <= term.weeks().size() ? term.weeks().get(week - 1) : null;
        monday = found.isEmpty() ? of : found.get(0).first().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        weeks = true;
        entries.add(Entry.nothing(line.number, "week " + week));
    }

    private void unit(Line line) {
        units = true;
        last = null;
        entries.add(new Entry.UnitBegins(line.number, line.text.replaceFirst("[:.]$", ""), new ArrayList<>()));
    }

    private void lesson(Line line) {
        String text = line.text;
        SheetDays.Found found = line.day;
        LocalDate day = found == null ? null : found.first();
        RowWords.Labelled labelled = RowWords.labelled(line.text);
        if (found == null && monday != null && !labelled.days().isEmpty()) {
            day = monday.plusDays(
                    EnumSet.copyOf(labelled.days()).iterator().next().getValue() - 1L);
            text = labelled.text();
        }
        if (found != null) {
            text = text.substring(Math.min(text.length(), found.end())).replaceFirst("^[\\s.,:;–—-]+", "");
        }
        if (RowWords.noClass(text)
                || RowWords.bracketed(line.text) && RowWords.noClass(text.replaceAll("[\\[\\]()]", ""))) {
            entries.add(free(line, day, found == null ? day : found.last()));
            return;
        }
        if (RowWords.secondDay(line.text) || RowWords.bracketed(line.text)) {
            entries.add(Entry.nothing(
                    line.number, RowWords.secondDay(line.text) ? "the lesson before goes on" : "a remark"));
            return;
        }
        if (!units && !weeks && found == null) {
            entries.add(Entry.doubt(line.number, "No unit stands above this line. Begin with one."));
            return;
        }
        boolean test = RowWords.test(text);
        boolean outside =
                day != null && !term.classes().isEmpty() && !term.classes().contains(day);
        if (day != null && outside && test) {
            examination(line, text, day);
            return;
        }
        if (text.isBlank()) {
            entries.add(Entry.doubt(line.number, "A day without a topic."));
            return;
        }
        String[] besides = day == null ? new String[] {text} : BESIDES.split(text, 2);
        text = besides[0];
        RowWords.Sized sized = RowWords.sized(text);
        Taught taught = new Taught(
                line.number,
                test ? tested(sized.title()) : sized.title(),
                Math.max(1, sized.sessions()),
                day,
                0,
                false,
                false,
                "",
                new ArrayList<>());
        if (found != null && !found.wrong().isEmpty()) {
            taught.doubts().add(found.wrong());
        }
        if (day != null && outside && !days.old()) {
            taught.doubts()
                    .add("The sheet has this lesson on " + Say.day(day) + ", when the section has no class"
                            + (term.off().contains(day) ? ": the day is off." : "."));
        }
        entries.add(taught);
        last = taught;
        String inside = test ? sized.title() : null;
        if (inside != null && !line.text.matches("(?iu).*\\b(?:day|review)\\b.*")) {
            Work work = new Work(
                    line.number, tested(inside), inside.toLowerCase(Locale.ROOT).contains("quiz") ? "quiz" : "test");
            WorkFacts.take(work, text, new WorkWords.Place(0, "test", true, null));
            work.inClass = true;
            work.due = When.of(When.Sort.IN_CLASS, "");
            add(new Given(work, taught, null, null));
        }
        if (besides.length > 1) {
            work(line.number, besides[1]);
        }
    }

    /** The title of a test, without what stands behind a dash or in brackets about its time. */
    private String tested(String text) {
        Work facts = new Work(0, "", "");
        String rest = WorkFacts.take(facts, text, new WorkWords.Place(0, "test", true, null));
        return WorkTitle.trimmed(rest.replaceFirst("\\s+[–—-]\\s+(?:before|bring|in class|covers)\\b.*$", "")
                .replaceFirst("!+$", ""));
    }

    private void examination(Line line, String text, LocalDate day) {
        Work work = new Work(line.number, tested(text.split(",|\\s+\\d{1,2}(?::|\\s*[–-])")[0]), "test");
        words.when()
                .span(text, day)
                .ifPresentOrElse(
                        s -> {
                            work.opens = When.day(day, s.start(), "");
                            work.due = When.day(day, s.end(), "");
                        },
                        () -> work.due = When.day(day, null, ""));
        last = null;
        add(new Given(work, null, day, null));
    }

    private Entry free(Line line, @Nullable LocalDate from, @Nullable LocalDate to) {
        List<String> doubts = new ArrayList<>();
        if (from != null && to != null && !days.old()) {
            term.classes().subSet(from, to.plusDays(1)).stream()
                    .filter(d -> !term.off().contains(d))
                    .findFirst()
                    .ifPresent(d -> doubts.add("The sheet has no class (“" + line.text + "”), the plan has one on "
                            + Say.day(d) + ". Add a day off, or keep the class."));
        }
        return new Entry.Nothing(line.number, "no class", doubts);
    }

    private void work(Line line) {
        if (RowWords.bracketed(line.text)) {
            entries.add(Entry.nothing(line.number, RowWords.noClass(line.text) ? "no class" : "a remark"));
            return;
        }
        if (last == null && !units && !weeks) {
            entries.add(Entry.doubt(line.number, "No unit stands above this line. Begin with one."));
            return;
        }
        if (last != null && line.text.matches("(?iu)\\s*\\d{1,4}\\s*(?:pts?|points?)\\b.*") && facts(line)) {
            return;
        }
        work(line.number, line.text);
    }

    private void work(int number, String text) {
        WorkWords.Said said =
                words.read(text, new WorkWords.Place(number, "", false, last == null ? null : last.day()));
        said.doubts().forEach(d -> entries.add(Entry.doubt(number, d)));
        said.opened().forEach(title -> handed.add(title, last == null ? null : last.day()));
        for (Work work : said.works()) {
            if (work.due != null
                    && work.due.sort() == When.Sort.WORDS
                    && work.due.text().isEmpty()) {
                work.due = When.of(When.Sort.CLASS_START, "");
            }
            if (work.due == null && work.kind.equals("reading")) {
                work.due = When.of(When.Sort.CLASS_START, "");
            } else if (work.due == null && work.test()) {
                work.due = When.of(When.Sort.IN_CLASS, "");
                work.inClass = true;
            }
            if (work.kind.isEmpty() || work.kind.equals("other") && !KindWords.other(work.title) && work.due != null) {
                work.kind = work.due == null ? "other" : "homework";
            }
            add(new Given(work, last, null, null));
        }
        if (said.works().isEmpty() && said.doubts().isEmpty()) {
            entries.add(Entry.nothing(number, "nothing to do"));
        }
    }

    /** "100 pts, formula sheet given" below a test is said of the test. */
    private boolean facts(Line line) {
        for (int i = entries.size() - 1; i >= 0; i--) {
            if (entries.get(i) instanceof Given given && given.work().test() && given.lesson() == last) {
                WorkFacts.take(given.work(), line.text, new WorkWords.Place(line.number, "test", true, null));
                entries.add(Entry.nothing(line.number, "said of " + given.work().title()));
                return true;
            }
        }
        return false;
    }

    private void add(Given given) {
        entries.add(given);
        handed.add(given);
    }
}
