package app.matsuri.exchange.holiday;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.exchange.holiday.PublicHolidays.PublicHoliday;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PublicHolidaysTest {

    private static List<LocalDate> days(String country, String region, int year) {
        return PublicHolidays.of(country, region, LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31), Locale.ENGLISH)
                .stream()
                .map(PublicHoliday::day)
                .toList();
    }

    private static LocalDate nth(int n, DayOfWeek weekday, int year, Month month) {
        return LocalDate.of(year, month, 1).with(TemporalAdjusters.dayOfWeekInMonth(n, weekday));
    }

    /**
     * Published: 5 U.S.C. 6103(a), legal public holidays. Columbus Day is among them and Jollyday keeps it with the
     * states, so it is left out here and said in the documentation.
     */
    @ParameterizedTest
    @ValueSource(ints = {2025, 2026, 2027, 2028})
    void federalHolidaysOfTheUnitedStates(int year) {
        assertThat(days("us", "", year))
                .contains(
                        nth(3, DayOfWeek.MONDAY, year, Month.JANUARY),
                        nth(3, DayOfWeek.MONDAY, year, Month.FEBRUARY),
                        LocalDate.of(year, 5, 31).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                        nth(1, DayOfWeek.MONDAY, year, Month.SEPTEMBER),
                        nth(4, DayOfWeek.THURSDAY, year, Month.NOVEMBER));
    }

    /** Published: the Gregorian Easter by the Meeus/Jones/Butcher algorithm. */
    private static LocalDate easter(int year) {
        int a = year % 19;
        int b = year / 100;
        int c = year % 100;
        int h = (19 * a + b - b / 4 - (b - (b + 8) / 25 + 1) / 3 + 15) % 30;
        int l = (32 + 2 * (b % 4) + 2 * (c / 4) - h - c % 4) % 7;
        int m = (a + 11 * h + 22 * l) / 451;
        int n = h + l - 7 * m + 114;
        return LocalDate.of(year, n / 31, n % 31 + 1);
    }

    /** Law of the federation, from memory: Good Friday, Easter Monday, Ascension, Whit Monday hang on Easter. */
    @ParameterizedTest
    @ValueSource(ints = {2024, 2025, 2026, 2027, 2028, 2030, 2035})
    void movableHolidaysOfGermany(int year) {
        LocalDate easter = easter(year);
        assertThat(days("de", "", year))
                .contains(
                        easter.minusDays(2),
                        easter.plusDays(1),
                        easter.plusDays(39),
                        easter.plusDays(50),
                        LocalDate.of(year, 5, 1),
                        LocalDate.of(year, 10, 3),
                        LocalDate.of(year, 12, 25),
                        LocalDate.of(year, 12, 26))
                .doesNotContain(easter.plusDays(60));
        assertThat(days("de", "by", year)).contains(easter.plusDays(60));
    }

    @Test
    void namesComeInTheAskedLanguage() {
        LocalDate christmas = LocalDate.of(2026, 12, 25);
        assertThat(PublicHolidays.of("de", "", christmas, christmas, Locale.GERMAN)
                        .get(0)
                        .name())
                .contains("Weihnacht");
        assertThat(PublicHolidays.of("de", "", christmas, christmas, Locale.ENGLISH)
                        .get(0)
                        .name())
                .contains("Christmas");
        assertThat(PublicHolidays.countries(Locale.FRENCH))
                .anyMatch(p -> p.code().equals("de") && p.name().equals("Allemagne"));
    }

    @Test
    void countriesHaveRegionsAndAnUnknownOneIsSaid() {
        assertThat(PublicHolidays.countries(Locale.ENGLISH)).hasSizeGreaterThan(50);
        assertThat(PublicHolidays.regions("de", Locale.ENGLISH))
                .anyMatch(p -> p.code().equals("by"));
        assertThatThrownBy(() -> days("de", "xx", 2026)).hasMessageContaining("no region");
        assertThatThrownBy(() -> days("zz", "", 2026)).hasMessageContaining("no list");
    }

    /** A holiday of the next year that is kept in this one is not forgotten (1 January 2028 is a Saturday). */
    @Test
    void aHolidayKeptTheYearBeforeIsFound() {
        assertThat(days("us", "", 2027)).contains(LocalDate.of(2027, 12, 31));
    }
}
