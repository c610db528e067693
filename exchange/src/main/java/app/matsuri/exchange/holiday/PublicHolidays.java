package app.matsuri.exchange.holiday;

import de.focus_shift.jollyday.core.CalendarHierarchy;
import de.focus_shift.jollyday.core.Holiday;
import de.focus_shift.jollyday.core.HolidayManager;
import de.focus_shift.jollyday.core.HolidayType;
import de.focus_shift.jollyday.core.ManagerParameters;
import java.time.LocalDate;
import java.time.Year;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * Public holidays of countries and their regions, as the Jollyday library knows them. Its lists are kept by hand, so a
 * person accepts each, or all, and can correct them.
 */
public final class PublicHolidays {

    /** Countries whose lists were held against their law or an official list of 2026 (from memory). */
    private static final Set<String> CHECKED = Set.of("us", "de");

    private PublicHolidays() {}

    /**
     * A country or region that can be chosen.
     *
     * @param code ISO 3166 in small letters
     * @param name in the asked language
     */
    public record Place(String code, String name) {}

    /**
     * One public holiday.
     *
     * @param day the day that is kept, which is the observed one where the law moves it
     * @param name in the asked language
     * @param moved whether it is kept on another day than its own
     * @param everyone whether it is a day off by law, rather than a day that is only marked
     */
    public record PublicHoliday(LocalDate day, String name, boolean moved, boolean everyone) {}

    /** All countries, by name in the language. */
    public static List<Place> countries(Locale language) {
        return HolidayManager.getSupportedCalendarCodes().stream()
                .filter(code -> code.length() == 2)
                .map(code -> new Place(code.toLowerCase(Locale.ROOT), name(code, language)))
                .sorted(Comparator.comparing(Place::name))
                .toList();
    }

    private static String name(String code, Locale language) {
        String name = new Locale.Builder()
                .setRegion(code.toUpperCase(Locale.ROOT))
                .build()
                .getDisplayCountry(language);
        return name.isEmpty() ? code : name;
    }

    /** Whether the country's list was checked. */
    public static boolean checked(String country) {
        return CHECKED.contains(country);
    }

    /** The regions of a country, by name; none where it has none. */
    public static List<Place> regions(String country, Locale language) {
        return manager(country).getCalendarHierarchy().getChildren().entrySet().stream()
                .map(e -> new Place(e.getKey(), described(e.getKey(), e.getValue(), language)))
                .sorted(Comparator.comparing(Place::name))
                .toList();
    }

    private static String described(String code, CalendarHierarchy region, Locale language) {
        String name = region.getDescription(language);
        return name == null || name.isBlank() || name.equals("undefined") ? code.toUpperCase(Locale.ROOT) : name;
    }

    /**
     * The public holidays kept within the days.
     *
     * @param region empty for the whole country's only
     * @throws IllegalArgumentException when the country or region is not known
     */
    public static List<PublicHoliday> of(
            String country, String region, LocalDate first, LocalDate last, Locale language) {
        HolidayManager manager = manager(country);
        if (!region.isEmpty() && !manager.getCalendarHierarchy().getChildren().containsKey(region)) {
            // the library would silently answer with the whole country's
            throw new IllegalArgumentException("“" + region + "” is no region of " + country);
        }
        String[] places = region.isEmpty() ? new String[0] : new String[] {region};
        Map<LocalDate, PublicHoliday> found = new TreeMap<>();
        // a holiday of next year may be kept in this one
        for (int year = first.getYear(); year <= last.getYear() + 1; year++) {
            for (Holiday holiday : manager.getHolidays(Year.of(year), places)) {
                LocalDate day = holiday.getDate();
                if (!day.isBefore(first) && !day.isAfter(last)) {
                    found.merge(day, read(holiday, language), PublicHolidays::both);
                }
            }
        }
        return new ArrayList<>(found.values());
    }

    private static PublicHoliday read(Holiday holiday, Locale language) {
        boolean moved = !holiday.getDate().equals(holiday.getActualDate());
        String name = holiday.getDescription(language);
        return new PublicHoliday(
                holiday.getDate(),
                moved ? name + " (kept)" : name,
                moved,
                holiday.getType() == HolidayType.PUBLIC_HOLIDAY);
    }

    private static PublicHoliday both(PublicHoliday a, PublicHoliday b) {
        return a.name().equals(b.name())
                ? a
                : new PublicHoliday(
                        a.day(), a.name() + ", " + b.name(), a.moved() && b.moved(), a.everyone() || b.everyone());
    }

    private static HolidayManager manager(String country) {
        boolean known = HolidayManager.getSupportedCalendarCodes().stream().anyMatch(c -> c.equalsIgnoreCase(country));
        if (!known) {
            throw new IllegalArgumentException("there is no list of public holidays for “" + country + "”");
        }
        return HolidayManager.getInstance(ManagerParameters.create(country));
    }
}
