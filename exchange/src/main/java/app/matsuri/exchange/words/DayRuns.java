package app.matsuri.exchange.words;

import app.matsuri.exchange.words.Days.Group;
import app.matsuri.exchange.words.Days.Span;
import app.matsuri.exchange.words.Days.Years;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which dates the printed days of a line are: their months and years, as far as others beside them and the term tell. */
final class DayRuns {

    private DayRuns() {}

    /**
     * Gives each day its month: from the one behind it, else from the one before it, else the one that is known.
     *
     * @return the month of the last; 0 where none of them has one and none is known
     */
    static int filled(List<List<PrintedDay>> runs, int known) {
        List<PrintedDay> all = new ArrayList<>();
        runs.forEach(all::addAll);
        boolean forward = all.get(0).month() != 0;
        int now = forward ? 0 : known;
        Integer[] months = new Integer[all.size()];
        if (!forward) {
            int later = 0;
            for (int i = all.size() - 1; i >= 0; i--) {
                later = all.get(i).month() != 0 ? all.get(i).month() : later;
                months[i] = later;
            }
        }
        for (int i = 0; i < all.size(); i++) {
            now = all.get(i).month() != 0 ? all.get(i).month() : months[i] != null && months[i] != 0 ? months[i] : now;
            months[i] = now;
        }
        int k = 0;
        for (List<PrintedDay> run : runs) {
            for (int i = 0; i < run.size(); i++) {
                run.set(i, run.get(i).in(months[k++]));
            }
        }
        return months[months.length - 1];
    }

    static Group resolved(int start, int end, List<List<PrintedDay>> runs, Years years, boolean week) {
        int written = runs.stream()
                .flatMap(List::stream)
                .mapToInt(PrintedDay::year)
                .filter(y -> y != 0)
                .reduce(0, (a, b) -> b);
        List<Span> spans = new ArrayList<>();
        String wrong = "";
        for (List<PrintedDay> run : runs) {
            PrintedDay a = run.get(0);
            PrintedDay b = run.get(run.size() - 1);
            int last = b.year() != 0 ? b.year() : written != 0 ? written : year(b, years);
            int first =
                    a.year() != 0 ? a.year() : written != 0 ? last - (a.month() > b.month() ? 1 : 0) : year(a, years);
            Optional<LocalDate> from = a.date(first);
            Optional<LocalDate> to = b.date(last);
            if (from.isEmpty() || to.isEmpty()) {
                PrintedDay none = from.isEmpty() ? a : b;
                wrong = "There is no day " + none.day() + " in month " + none.month() + ".";
                continue;
            }
            LocalDate till = to.get();
            // "29 - Apr 2": the month before
            LocalDate begin = till.isBefore(from.get()) && a.month() == b.month()
                    ? from.get().minusMonths(1)
                    : from.get();
            if (till.isBefore(begin) && b.year() == 0 && written == 0) {
                till = till.plusYears(1);
            }
            if (till.isBefore(begin) || begin.plusDays(200).isBefore(till)) {
                wrong = "Its days end before they begin, or are too many.";
                continue;
            }
            String contradicts = contradicts(a, begin);
            String other = contradicts.isEmpty() ? contradicts(b, till) : contradicts;
            spans.add(new Span(begin, week && run.size() == 1 ? till.plusDays(6) : till, other));
        }
        return new Group(start, end, joined(spans), wrong);
    }

    /** "12 & 13" is one run. */
    private static List<Span> joined(List<Span> spans) {
        List<Span> joined = new ArrayList<>();
        for (Span span : spans) {
            Span before = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (before != null
                    && before.last().plusDays(1).equals(span.first())
                    && before.wrong().isEmpty()) {
                joined.set(joined.size() - 1, new Span(before.first(), span.last(), span.wrong()));
            } else {
                joined.add(span);
            }
        }
        return joined;
    }

    /** The year that is said above it; another where only then it is a day of the term and has the weekday that is printed. */
    private static int year(PrintedDay day, Years years) {
        int said = years.of(day.month(), day.day());
        LocalDate date = day.date(said).orElse(null);
        if (date == null || day.weekday() == null || years.term(date) || date.getDayOfWeek() == day.weekday()) {
            return said;
        }
        for (int other : new int[] {said - 1, said + 1}) {
            Optional<LocalDate> there = day.date(other).filter(years::term);
            if (there.isPresent() && there.get().getDayOfWeek() == day.weekday()) {
                return other;
            }
        }
        return said;
    }

    private static String contradicts(PrintedDay day, LocalDate date) {
        DayOfWeek printed = day.weekday();
        return printed == null || printed == date.getDayOfWeek()
                ? ""
                : date + " is a " + Days.name(date.getDayOfWeek()) + ", and " + Days.name(printed) + " is printed.";
    }
}
