package app.matsuri.server.telling;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What students of a section were told, in words, beside each date that differs from it. */
public final class ToldWords {

    private final Map<String, String> words = new HashMap<>();

    public ToldWords(SectionSchedule in) {
        for (Untold untold : Untold.differing(in)) {
            words.put(untold.what() + " " + untold.id(), say(untold));
        }
    }

    /** "told Thu 8 Oct, 23:59", or "not told yet"; null where students were told what is planned. */
    public @Nullable String of(String what, String id) {
        return words.get(what + " " + id);
    }

    private static String say(Untold untold) {
        if (untold.told() == null) {
            return "not told yet";
        }
        return "told "
                + (untold.what().equals(Untold.LESSON)
                        ? Say.day(untold.told().toLocalDate())
                        : Say.moment(untold.told()));
    }
}
