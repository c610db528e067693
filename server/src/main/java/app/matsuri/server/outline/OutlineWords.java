package app.matsuri.server.outline;

import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What reading outlines needs to know of a term. */
@Component
class OutlineWords {

    private final Today today;

    OutlineWords(Today today) {
        this.today = today;
    }

    static Course course(Stored stored, String code) {
        return Find.course(stored.decisions(), code);
    }

    DayWords days(Stored stored, Locale locale) {
        return today.words(stored.decisions().term(), locale);
    }

    static Problem misread(String what) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "outline-not-understood", "Not understood", what);
    }
}
