package app.matsuri.exchange.sheet;

import app.matsuri.exchange.words.DayOrder;
import app.matsuri.exchange.words.Days;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * The days of a sheet: which year they are of by their printed weekdays and what the sheet says, and, where that is an old
 * term, the same week and weekday of this one.
 */
final class SheetDays implements Days.Years {

    private static final Pattern LETTER = Pattern.compile("(?<![\\p{L}])(M|Tu?|W|Th|R|F|Sa|Su)[.,]?\\s*$");
    private static final Pattern SLASHED = Pattern.compile("(?<![\\d/])(\\d{1,2})/(\\d{1,2})(?![\\d/])");
    private static final Pattern YEAR = Pattern.compile("(?<![\\d.#$€£/-])(20\\d{2})(?![\\d])");

    /** How many of its lines tell the year. */
    private static final int LOOKED_AT = 120;

    private final SheetTerm term;
    private final boolean dayFirst;
    private final int years;
    private final int shift;

    /**
     * @param text the whole of the sheet
     */
    SheetDays(String text, SheetTerm term) {
        this.term = term;
        Boolean byTerm = byTerm(text, term);
        this.dayFirst = DayOrder.dayFirst(text, byTerm == null ? term.dayFirst() : byTerm);
        SheetDays plain = new SheetDays(term, dayFirst, 0, 0);
        List<Printed> printed = new ArrayList<>();
        Days.plain(text).lines().limit(LOOKED_AT).forEach(line -> printed(line, plain, printed));
        this.years = years(text, printed, term);
        this.shift = years == 0 ? 0 : shift(new SheetDays(term, dayFirst, years, 0), text);
    }

    private SheetDays(SheetTerm term, boolean dayFirst, int years, int shift) {
        this.term = term;
        this.dayFirst = dayFirst;
        this.years = years;
        this.shift = shift;
    }

    /** Whether 9/4 is the ninth of April, as only so it lies in the term; null where both do, or neither. */
    private static @Nullable Boolean byTerm(String text, SheetTerm term) {
        int day = 0;
        int month = 0;
        Matcher m = SLASHED.matcher(text);
        while (m.find()) {
            int a = Integer.parseInt(m.group(1));
            int b = Integer.parseInt(m.group(2));
            if (a <= 12 && b <= 12 && a > 0 && b > 0 && a != b) {
                day += within(b, a, term) ? 1 : 0;
                month += within(a, b, term) ? 1 : 0;
            }
        }
        return day == month ? null : day > month;
    }

    private static boolean within(int month, int day, SheetTerm term) {
        for (int year = term.first().getYear(); year <= term.last().getYear(); year++) {
            LocalDate date = LocalDate.of(year, month, day);
            if (!date.isBefore(term.first()) && !date.isAfter(term.last())) {
                return true;
            }
        }
        return false;
    }

    /** A day with the weekday beside it. */
    private record Printed(LocalDate day, DayOfWeek weekday) {}

    private static void printed(String line, SheetDays days, List<Printed> printed) {
        for (Days.Group group : Days.find(line, 0, days)) {
            String words = line.substring(group.start(), group.end());
            Matcher letter = LETTER.matcher(line.substring(0, group.start()));
            DayOfWeek weekday = letter.find() ? Days.weekday(letter.group(1)) : leading(words);
            if (weekday != null && !group.spans().isEmpty()) {
                printed.add(new Printed(group.spans().get(0).first(), weekday));
            }
        }
    }

    private static @Nullable DayOfWeek leading(String words) {
        Matcher m = Pattern.compile("^\\p{L}+").matcher(words);
        return m.find() ? Days.weekday(m.group()) : null;
    }

    /** How many years the sheet lies behind this term: those for which its weekdays are right, else what it says. */
    private static int years(String text, List<Printed> printed, SheetTerm term) {
        if (printed.size() >= 3) {
            int best = 0;
            long most = 0;
            for (int years : new int[] {0, -1, -2, -3, -4, -5, 1}) {
                long right = printed.stream()
                        .filter(p -> p.day().plusYears(years).getDayOfWeek() == p.weekday())
                        .count();
                if (right > most) {
                    most = right;
                    best = years;
                }
            }
            return most * 3 >= printed.size() * 2L ? best : 0;
        }
        Matcher m = YEAR.matcher(text);
        int said = 0;
        while (m.find()) {
            int year = Integer.parseInt(m.group(1));
            said = Math.max(said, year);
        }
        boolean old = said != 0
                && said < term.first().getYear()
                && said > term.first().getYear() - 8;
        return old ? said - term.last().getYear() : 0;
    }

    /** Whole weeks from the sheet's term to this one: its first week comes to the first of this one. */
    private static int shift(SheetDays of, String text) {
        LocalDate first = null;
        for (String line : Days.plain(text).split("\\R")) {
            for (Days.Group group : Days.find(line, 0, of)) {
                LocalDate day =
                        group.spans().isEmpty() ? null : group.spans().get(0).first();
                if (day != null && (first == null || day.isBefore(first))) {
                    first = day;
                }
            }
        }
        int whole = Math.round(-of.years * 365.2425f / 7) * 7;
        if (first == null) {
            return whole;
        }
        long weeks = of.monday(of.term.first()).toEpochDay() - of.monday(first).toEpochDay();
        return Math.abs(weeks - whole) <= 21 ? (int) weeks : whole;
    }

    private LocalDate monday(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    /** Whether its dates are those of an earlier or later term. */
    boolean old() {
        return years != 0;
    }

    /** How many days on from the sheet's dates those of this term lie. */
    int shift() {
        return shift;
    }

    SheetTerm of() {
        return term;
    }

    /** A run of days in a cell, as days of this term. */
    record Found(int start, int end, LocalDate first, LocalDate last, String wrong) {}

    /** The days of a text, which may have single letters for weekdays before them. */
    List<Found> find(String text) {
        String plain = Days.plain(text);
        List<Found> found = new ArrayList<>();
        for (Days.Group group : Days.find(plain, 0, this)) {
            Matcher letter = LETTER.matcher(plain.substring(0, group.start()));
            int start = letter.find() ? letter.start() : group.start();
            for (Days.Span span : group.spans()) {
                found.add(new Found(
                        start,
                        group.end(),
                        span.first().plusDays(shift),
                        span.last().plusDays(shift),
                        old() ? "" : span.wrong()));
            }
        }
        return found;
    }

    /** The day that a whole text begins with; empty where it begins with none. */
    Optional<Found> leading(String text, int before) {
        return find(text).stream()
                .findFirst()
                .filter(f -> f.start() <= before || text.substring(0, f.start()).isBlank());
    }

    @Override
    public boolean dayFirst() {
        return dayFirst;
    }

    @Override
    public int of(int month, int day) {
        LocalDate first = term.first().plusYears(years);
        LocalDate last = term.last().plusYears(years);
        int nearest = first.getYear();
        long far = Long.MAX_VALUE;
        for (int year = first.getYear() - 1; year <= last.getYear() + 1; year++) {
            try {
                LocalDate date = LocalDate.of(year, month, day);
                long out = date.isBefore(first)
                        ? first.toEpochDay() - date.toEpochDay()
                        : date.isAfter(last) ? date.toEpochDay() - last.toEpochDay() : 0;
                if (out < far) {
                    far = out;
                    nearest = year;
                }
            } catch (DateTimeException e) {
                continue; // a day that this year does not have
            }
        }
        return nearest;
    }

    @Override
    public boolean term(LocalDate day) {
        return !day.isBefore(term.first().plusYears(years))
                && !day.isAfter(term.last().plusYears(years));
    }
}
