package app.matsuri.exchange.sheet;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** What a sheet says is handed out: the work of that name opens on that day. */
final class HandedOut {

    private record Out(String title, @Nullable LocalDate day) {}

    private final List<Out> out = new ArrayList<>();
    private final List<Work> works = new ArrayList<>();

    void add(String title, @Nullable LocalDate day) {
        out.add(new Out(title.toLowerCase(Locale.ROOT), day));
    }

    void add(Entry.Given given) {
        works.add(given.work());
    }

    /** Opens the work that was handed out; what no work is called is a doubt. */
    void open(List<Entry> entries) {
        for (Out one : out) {
            Work found = works.stream()
                    .filter(w -> w.title.toLowerCase(Locale.ROOT).startsWith(one.title()))
                    .findFirst()
                    .orElse(null);
            if (found == null && one.title().length() > 2) {
                entries.add(Entry.doubt(0, "“" + one.title() + "” is handed out, but no work of that name is due."));
            } else if (found != null && found.opens == null && one.day() != null) {
                found.opens = When.day(one.day(), null, "handed out");
            }
        }
    }
}
