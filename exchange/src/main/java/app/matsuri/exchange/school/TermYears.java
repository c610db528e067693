package app.matsuri.exchange.school;

import app.matsuri.exchange.words.DayOrder;
import app.matsuri.exchange.words.Days;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Which year a day without one is in: that of its line, its heading, its school year, or the one that brings it into the term. */
final class TermYears implements Days.Years {

    private static final Pattern SCHOOL_YEAR = Pattern.compile("(?<!\\d)(20\\d{2})\\s*[-/]\\s*(?:20)?(\\d{2})(?!\\d)");
    private static final Pattern ISO = Pattern.compile("20\\d{2}-\\d{1,2}-\\d{1,2}");
    private static final Pattern YEAR = Pattern.compile("(?<![\\d.#$€£-])(20\\d{2})(?![\\d])");

    private final LocalDate first;
    private final LocalDate last;
    private final boolean dayFirst;
    private int schoolYear;
    private int heading;
    private int line;

    /**
     * @param text the whole of it, which shows how its days are written
     */
    TermYears(String text, SchoolCalendar.Term term) {
        this.first = term.first();
        this.last = term.last();
        dayFirst = DayOrder.dayFirst(text, term.dayFirst());
        Matcher year = SCHOOL_YEAR.matcher(Days.plain(text));
        while (schoolYear == 0 && year.find()) {
            if (Integer.parseInt(year.group(1)) % 100 + 1 == Integer.parseInt(year.group(2))) {
                schoolYear = Integer.parseInt(year.group(1));
            }
        }
    }

    @Override
    public boolean dayFirst() {
        return dayFirst;
    }

    /** A heading begins: its year counts for the lines below it. */
    void heading(String plain) {
        heading = one(plain);
    }

    /** A line begins: a year that stands in it by itself counts for its days. */
    void line(String plain) {
        line = one(plain);
    }

    /** The only year in a text; 0 for none, several, or a school year. */
    private static int one(String plain) {
        String text = ISO.matcher(SCHOOL_YEAR.matcher(plain).replaceAll(" ")).replaceAll(" ");
        Matcher m = YEAR.matcher(text);
        int found = 0;
        while (m.find()) {
            int year = Integer.parseInt(m.group(1));
            if (found != 0 && found != year) {
                return 0;
            }
            found = year;
        }
        return found;
    }

    @Override
    public int of(int month, int day) {
        int said = line != 0 ? line : heading;
        if (said != 0) {
            return !within(said, month, day) && within(said + 1, month, day) && month < 7 ? said + 1 : said;
        }
        if (schoolYear != 0) {
            int year = month >= 7 ? schoolYear : schoolYear + 1;
            // July and August stand at either end of a school year
            return month >= 7 && month <= 8 && !within(year, month, day) && within(year + 1, month, day)
                    ? year + 1
                    : year;
        }
        for (int year = first.getYear(); year <= last.getYear(); year++) {
            if (within(year, month, day)) {
                return year;
            }
        }
        return month >= first.getMonthValue() ? first.getYear() : last.getYear();
    }

    @Override
    public boolean term(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(last);
    }

    private boolean within(int year, int month, int day) {
        try {
            LocalDate date = LocalDate.of(year, month, day);
            return !date.isBefore(first.minusDays(45)) && !date.isAfter(last.plusDays(45));
        } catch (DateTimeException e) {
            return false;
        }
    }
}
