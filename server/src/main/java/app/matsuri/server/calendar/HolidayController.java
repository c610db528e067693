package app.matsuri.server.calendar;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.holiday.PublicHolidays;
import app.matsuri.server.http.Problem;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The countries and regions whose public holidays are known. */
@RestController
@RequestMapping(path = "/api/holidays", produces = "application/json")
class HolidayController {

    @GetMapping("/countries")
    List<PublicHolidays.Place> countries(@RequestParam(defaultValue = "en") String language) {
        return PublicHolidays.countries(Locale.forLanguageTag(language));
    }

    @GetMapping("/regions")
    List<PublicHolidays.Place> regions(
            @RequestParam(defaultValue = "us") String country, @RequestParam(defaultValue = "en") String language) {
        return known(() -> PublicHolidays.regions(country, Locale.forLanguageTag(language)));
    }

    /** Asks for a place, and says so where it is not known. */
    static <T> T known(Supplier<T> question) {
        try {
            return question.get();
        } catch (IllegalArgumentException e) {
            String said = Known.message(e);
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-such-place",
                    "No such place",
                    Character.toUpperCase(said.charAt(0)) + said.substring(1) + ". Choose another from the list.");
        }
    }
}
