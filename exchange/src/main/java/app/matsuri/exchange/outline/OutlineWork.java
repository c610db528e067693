package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.KindWords;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads the lines of an outline that are work into a draft. */
final class OutlineWork {

    private static final Pattern MINUTES =
            Pattern.compile("\\b(\\d{1,3})\\s*min(?:utes)?\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern POINTS =
            Pattern.compile("\\b(\\d{1,4})\\s*(?:points?|pts?)\\b", Pattern.CASE_INSENSITIVE);

    private static final Pattern WORD_BY_WORD =
            Pattern.compile("(?i)^" + KindWords.ANY + "\\s*:|\\(" + KindWords.ANY + "\\)|[,;]\\s*(?:opens|closes)\\b");

    private static final Pattern WORK_DUE = Pattern.compile("(?i)^(.*?)[,:;]?\\s*\\b(due\\b.*)$");

    private final OutlineDraft draft;
    private final DueWords due;

    OutlineWork(OutlineDraft draft, DueWords due) {
        this.draft = draft;
        this.due = due;
    }

    /** Takes a line for work of the lesson read last, or of its unit; false when it has no name or something in it was not understood. */
    boolean line(String text, List<String> said) {
        if (WORD_BY_WORD.matcher(text).find()) {
            return wordByWord(text, said);
        }
        Matcher m = WORK_DUE.matcher(text);
        boolean split = m.matches();
        return dated(split ? m.group(1) : text, split ? m.group(2) : "", said);
    }

    /** A line that says its kind, or more than one of its dates. */
    private boolean wordByWord(String text, List<String> said) {
        OneUnit unit = draft.last();
        String lesson = unit.at == null ? null : unit.at.id();
        TypedLine line = TypedLine.read(text, new TypedLine.Place(due.days(), null, lesson, true, due.names()));
        if (line.wrong().isPresent() || line.title().isEmpty()) {
            said.add(line.wrong().map(w -> "“" + w.text() + "”: " + w.as()).orElse("Work without a name."));
            return false;
        }
        if (line.repeats()) {
            said.add("Work that repeats is typed into the outline or a day by itself: “" + text + "”.");
            return false;
        }
        if (there(unit, line.title(), lesson)) {
            said.add(line.title() + " is there already");
            return true;
        }
        unit.items.add(draft.newItem(line, lesson));
        List<String> dates = new ArrayList<>();
        for (Which which : Which.values()) {
            DateRule date = line.date(which);
            if (date != null) {
                dates.add(which.name().toLowerCase(Locale.ROOT) + " " + RuleSaid.beside(date, lesson));
            }
        }
        said.add(line.title() + ", " + line.kind() + ", "
                + (dates.isEmpty() ? "no date yet" : String.join(", ", dates)));
        return true;
    }

    /** Adds work; false when it has no name or when it is due was not understood. */
    boolean dated(String given, String when, List<String> said) {
        String title = given.strip();
        Integer minutes = null;
        BigDecimal points = null;
        Matcher m = MINUTES.matcher(title);
        if (m.find()) {
            minutes = DayWords.number(m.group(1));
            title = without(title, m);
        }
        m = POINTS.matcher(title);
        if (m.find()) {
            points = new BigDecimal(m.group(1));
            title = without(title, m);
        }
        String name = title;
        if (title.isEmpty()) {
            said.add("Work without a name: write what it is before “due”.");
            return false;
        }
        OneUnit unit = draft.last();
        String lesson = unit.at == null ? null : unit.at.id();
        if (there(unit, name, lesson)) {
            said.add(title + " is there already");
            return true;
        }
        String kind = KindWords.ofTitle(title);
        Optional<DateRule> rule = when.isEmpty() ? Optional.empty() : due.read(when, lesson);
        unit.items.add(new Item(
                draft.newId(),
                lesson,
                kind,
                title,
                "",
                points,
                minutes,
                "",
                false,
                0,
                null,
                rule.orElse(null),
                null,
                ItemDetails.NONE,
                Extra.NONE));
        if (!when.isEmpty() && rule.isEmpty()) {
            said.add(title + ": “" + when + "” was not understood. Write “due next class”, “due 2 days after, 23:59” or"
                    + " “due 3 nov”. The work stands without a date.");
            return false;
        }
        said.add(title + ", " + (rule.isEmpty() ? "no date yet" : "due " + RuleSaid.beside(rule.get(), lesson)));
        return true;
    }

    /** Whether the course has that work of the lesson already. */
    private static boolean there(OneUnit unit, String title, @Nullable String lesson) {
        return unit.was != null && unit.was.items().stream().anyMatch(i -> same(i, title, lesson));
    }

    private static boolean same(Item item, String title, @Nullable String lesson) {
        return item.title().equalsIgnoreCase(title) && Objects.equals(item.lesson(), lesson);
    }

    private static String without(String title, Matcher m) {
        return (title.substring(0, m.start()) + title.substring(m.end()))
                .replaceAll("[\\s,;:()]+$", "")
                .replaceAll("\\s*,\\s*,", ",")
                .strip();
    }
}
