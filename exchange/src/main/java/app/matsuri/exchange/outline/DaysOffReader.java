package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.threeten.extra.LocalDateRange;

/** Reads a school's list of dates, a line each, as days off. Every line is kept, understood or not. */
public final class DaysOffReader {

    private DaysOffReader() {}

    /**
     * One line and what was understood.
     *
     * @param state "off", "meets" (a date on which classes meet), "heading" or "not-understood"
     * @param closure the day off; null for the others
     */
    public record Line(int number, String text, String state, String said, Closure closure) {}

    /** Reads the lines. */
    public static List<Line> read(String text, DayWords days) {
        List<Line> lines = new ArrayList<>();
        String[] all = text.split("\\R", -1);
        for (int i = 0; i < all.length; i++) {
            if (!all[i].isBlank()) {
                lines.add(line(i + 1, all[i], days));
            }
        }
        return lines;
    }

    private static Line line(int number, String text, DayWords days) {
        Optional<RunWords.Found> found = RunWords.find(text, days);
        if (found.isEmpty()) {
            boolean digits = text.matches(".*\\d.*") && !text.matches("(?i).*(calendar|term|semester|year).*");
            boolean heading = !digits && text.matches("(?i).*(calendar|term|semester|year|dates|holidays|breaks).*");
            return heading
                    ? new Line(number, text, "heading", "a heading, passed over", null)
                    : new Line(
                            number,
                            text,
                            "not-understood",
                            "No date found. Write it as “Oct 12-13 Autumn break”.",
                            null);
        }
        RunWords.Found run = found.get();
        String reason = reason(text.substring(0, run.from()) + " " + text.substring(run.to()));
        String lower = text.toLowerCase(Locale.ROOT);
        String dates = Say.days(run.first(), run.last());
        if (lower.matches(".*(class(es)? meet|classes held|in session|regular (schedule|day)).*")) {
            return new Line(number, text, "meets", dates + ": classes meet, no day off", null);
        }
        boolean mayBeDue = lower.contains("no class") || lower.contains("may be due");
        Closure closure = new Closure(
                LocalDateRange.ofClosed(run.first(), run.last()),
                null,
                null,
                reason,
                kind(lower),
                true,
                false,
                !mayBeDue,
                null,
                false,
                Extra.NONE);
        return new Line(
                number, text, "off", dates + ": no class, " + (mayBeDue ? "work may be due" : "nothing due"), closure);
    }

    private static String reason(String rest) {
        return rest.replaceAll("(?i)\\(?\\b" + DayWords.WEEKDAY + "\\b\\)?", " ")
                .replaceAll("(?i)\\b(no class(es)?|college closed|school closed|closed|off|work may be due)\\b", " ")
                .replaceAll("[()]", " ")
                .replaceAll("\\s+", " ")
                .replaceAll("^[\\s,;:.–-]+|[\\s,;:.–-]+$", "");
    }

    private static String kind(String lower) {
        if (lower.contains("holiday") && !lower.contains("break")) {
            return "public-holiday";
        }
        if (lower.matches(".*(break|ferien|recess|vacation).*")) {
            return "break";
        }
        if (lower.matches(".*(staff|training|in-service|teacher).*")) {
            return "staff-day";
        }
        return lower.matches(".*(test|exam).*") ? "testing" : "other";
    }
}
