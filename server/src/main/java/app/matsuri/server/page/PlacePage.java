package app.matsuri.server.page;

import app.matsuri.server.link.Links.Taken;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * When a place is taken, in words: by which section, and nothing else.
 *
 * @param days those to come on which it is taken
 */
public record PlacePage(String language, String title, List<Day> days, String zone) {

    /** A day with its times. */
    public record Day(String words, List<String> times) {}

    /** From today on, at most so many days. */
    private static final int DAYS = 40;

    static PlacePage of(String place, List<Taken> taken, PageWords words, LocalDate today) {
        Map<LocalDate, List<String>> days = new LinkedHashMap<>();
        for (Taken one : taken) {
            LocalDate day = one.start().toLocalDate();
            if (!day.isBefore(today) && (days.containsKey(day) || days.size() < DAYS)) {
                days.computeIfAbsent(day, d -> new ArrayList<>())
                        .add(words.say("span", words.time(one.start()), words.end(one.start(), one.end())) + " "
                                + one.by().course() + " " + one.by().section());
            }
        }
        return new PlacePage(
                words.language(),
                place,
                days.entrySet().stream()
                        .map(e -> new Day(words.day(e.getKey()), e.getValue()))
                        .toList(),
                taken.isEmpty() ? "" : words.say("zone", words.zone(taken.get(0).zone())));
    }
}
