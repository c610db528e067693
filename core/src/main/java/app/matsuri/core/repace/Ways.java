package app.matsuri.core.repace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The ways out of a loss, each the cheapest of all plans under its limit, and tidying a whole term. */
public final class Ways {

    private final SectionSchedule before;
    private final Paced then;
    private final Pacing stood;
    private final Paced now;

    private Ways(SectionSchedule before, SectionSchedule after) {
        this.before = before;
        this.then = Paced.of(before);
        this.stood = then.stands();
        this.now = before == after ? then : Paced.of(after);
    }

    /**
     * The ways out of what was lost between two schedules of one section. Those that cannot be are left out.
     *
     * @param before before the loss
     * @param after after it
     * @param by a day from which on nothing may differ from before; null for none
     */
    public static List<Way> out(SectionSchedule before, SectionSchedule after, LocalDate by) {
        return new Ways(before, after).out(by);
    }

    /** What lets everything stand as it falls. */
    public static Way slide(SectionSchedule in) {
        Ways ways = new Ways(in, in);
        return ways.way("let-it-slide", "Let it slide: everything falls as it comes", ways.now.stands());
    }

    /** The cheapest plan of the whole term. */
    public static Way tidy(SectionSchedule in) {
        Ways ways = new Ways(in, in);
        return ways.way(
                "tidy-the-weeks",
                "Tidy the weeks: the cheapest plan of the whole term",
                Optimum.of(ways.now.stretch()));
    }

    private List<Way> out(LocalDate by) {
        List<Way> ways = new ArrayList<>();
        ways.add(way("let-it-slide", "Let it slide: everything after it comes later", now.stands()));
        LocalDate lost = lost();
        if (lost == null) {
            return ways;
        }
        nextUnit(lost)
                .flatMap(day -> caughtUp("catch-up-in-unit", "Catch up in this unit, by ", day))
                .ifPresent(ways::add);
        before.calendar().breaks().stream()
                .filter(b -> b.getStart().isAfter(lost))
                .findFirst()
                .flatMap(b -> caughtUp(
                        "catch-up-by-break",
                        "Catch up by the next break, by ",
                        b.getEndInclusive().plusDays(1)))
                .ifPresent(ways::add);
        before.placements().stream()
                .filter(p -> before.section().pin(p.lesson()) != null && p.placed())
                .map(p -> before.sessions().get(p.first()).date())
                .filter(day -> day.isAfter(lost))
                .findFirst()
                .flatMap(day -> caughtUp("catch-up-by-pin", "Catch up by the next fixed date, by ", day))
                .ifPresent(ways::add);
        if (by != null) {
            caughtUp("catch-up-by-date", "Catch up by ", by).ifPresent(ways::add);
        }
        leftOut().ifPresent(ways::add);
        return ways;
    }

    /** The first day on which a session that a lesson had is gone, else on which one has other lessons; null where none is. */
    private LocalDate lost() {
        LocalDate gone = gone();
        return gone != null ? gone : before.firstDifference(now.in()).orElse(null);
    }

    private LocalDate gone() {
        Set<LocalDateTime> stand = new HashSet<>();
        now.in().sessions().all().forEach(s -> stand.add(s.name()));
        return before.placements().stream()
                .flatMap(p -> p.slots().stream())
                .map(s -> before.sessions().get(s.session()))
                .filter(s -> !stand.contains(s.name()) || blocked(s.name()))
                .map(s -> s.date())
                .min(LocalDate::compareTo)
                .orElse(null);
    }

    /** Whether the session stands and lessons may not take it any more. */
    private boolean blocked(LocalDateTime name) {
        return now.in().sessions().indexOf(name).stream()
                .mapToObj(i -> now.in().sessions().get(i))
                .anyMatch(s -> !s.open() && !s.record());
    }

    /** The day on which the unit after the one that lost a class begins. */
    private Optional<LocalDate> nextUnit(LocalDate lost) {
        String unit = null;
        for (var placement : before.placements()) {
            for (var slot : placement.slots()) {
                if (before.sessions().get(slot.session()).date().equals(lost)) {
                    unit = placement.unit().id();
                }
            }
        }
        boolean seen = false;
        for (var placement : before.placements()) {
            boolean same = placement.unit().id().equals(unit);
            if (seen && !same && placement.placed()) {
                return Optional.of(before.sessions().get(placement.first()).date());
            }
            seen |= same;
        }
        return Optional.empty();
    }

    /** The cheapest plan in which every lesson that stood on the day or later stands as before; none where one cannot. */
    private Optional<Way> caughtUp(String name, String sentence, LocalDate day) {
        List<Asked> lessons = new ArrayList<>();
        List<Place> must = new ArrayList<>();
        for (Asked asked : now.stretch().lessons()) {
            var old = before.byLesson().get(asked.id());
            boolean stays = old != null
                    && old.placed()
                    && !before.sessions().get(old.first()).date().isBefore(day);
            if (!stays) {
                lessons.add(asked);
                must.add(null);
                continue;
            }
            Place stood = stood(asked.id());
            int first = stood == null ? -1 : slot(stoodIn(stood.first()));
            if (first < 0 || slot(stoodIn(stood.last())) - first != stood.length() - 1) {
                return Optional.empty();
            }
            int length = stood.given();
            lessons.add(new Asked(
                    asked.id(),
                    asked.unit(),
                    Math.max(asked.length(), length),
                    length,
                    first,
                    stood.used(),
                    asked.reserve(),
                    asked.whole(),
                    false,
                    stood.kind() == Kind.JOINED,
                    asked.opensWeek(),
                    asked.keepsWeeks(),
                    asked.told(),
                    asked.test(),
                    asked.had()));
            must.add(new Place(stood.kind(), first, stood.length(), length, stood.used()));
        }
        if (must.stream().allMatch(place -> place == null)) {
            return Optional.empty(); // nothing stands behind it that could be caught up with
        }
        Stretch limited = new Stretch(
                now.stretch().slots(),
                lessons,
                now.stretch().begun(),
                now.stretch().weights(),
                now.stretch().usual());
        Pacing best = Optimum.of(limited);
        for (int i = 0; i < must.size(); i++) {
            if (must.get(i) != null && !must.get(i).equals(best.places().get(i))) {
                return Optional.empty();
            }
        }
        return Optional.of(way(name, sentence + Say.day(day), best));
    }

    /** Where a lesson that was not taught before stood; null where it did not. */
    private Place stood(String lesson) {
        for (int i = 0; i < then.placements().size(); i++) {
            if (then.placements().get(i).lesson().id().equals(lesson)) {
                Place place = stood.places().get(i);
                return place.placed() ? place : null;
            }
        }
        return null;
    }

    /** The name of the session of a slot before. */
    private LocalDateTime stoodIn(int slot) {
        return before.sessions().get(then.sessions().get(slot)).name();
    }

    private int slot(LocalDateTime name) {
        for (int k = 0; k < now.sessions().size(); k++) {
            if (now.in().sessions().get(now.sessions().get(k)).name().equals(name)) {
                return k;
            }
        }
        return -1;
    }

    /** The cheapest plan without the lesson that lost its class. */
    private Optional<Way> leftOut() {
        LocalDate lost = lost();
        Set<String> out = new HashSet<>();
        before.placements().stream()
                .filter(p -> p.slots().stream()
                        .anyMatch(s -> !s.taught()
                                && before.sessions().get(s.session()).date().equals(lost)))
                .forEach(p -> out.add(p.lesson().id()));
        List<Asked> rest = new ArrayList<>();
        List<Integer> kept = new ArrayList<>();
        for (int i = 0; i < now.stretch().lessons().size(); i++) {
            Asked asked = now.stretch().lessons().get(i);
            if (!out.contains(asked.id())) {
                rest.add(asked);
                kept.add(i);
            }
        }
        if (kept.size() == now.stretch().lessons().size()) {
            return Optional.empty();
        }
        Pacing best = Optimum.of(new Stretch(
                now.stretch().slots(),
                rest,
                now.stretch().begun(),
                now.stretch().weights(),
                now.stretch().usual()));
        List<Place> places = new ArrayList<>();
        for (Asked asked : now.stretch().lessons()) {
            boolean leavable = asked.leavable() || asked.reserve();
            places.add(leavable ? Place.LEFT_OUT : Place.NO_ROOM);
        }
        for (int k = 0; k < kept.size(); k++) {
            places.set(kept.get(k), best.places().get(k));
        }
        String titles = String.join(
                " and ",
                out.stream()
                        .map(id -> "“"
                                + now.in()
                                        .course()
                                        .lesson(id)
                                        .map(Lesson::title)
                                        .orElse(id) + "”")
                        .sorted()
                        .toList());
        return Optional.of(way("leave-it-out", "Leave out " + titles, new Pacing(places)));
    }

    private Way way(String name, String sentence, Pacing pacing) {
        return new Way(
                name,
                sentence,
                Scorer.costs(now.stretch(), pacing),
                edits(pacing),
                Steps.of(now, pacing).orElse(null),
                now.dates(pacing));
    }

    /** What a pacing does other than placing each lesson as long as it asks, one behind the other. */
    private List<Way.Edit> edits(Pacing pacing) {
        List<Way.Edit> edits = new ArrayList<>();
        int last = -1;
        for (int i = 0; i < pacing.places().size(); i++) {
            Asked asked = now.stretch().lessons().get(i);
            Place place = pacing.places().get(i);
            String title = "“" + now.placements().get(i).lesson().title() + "”";
            String id = asked.id();
            if (place.kind() == Kind.LEFT_OUT) {
                edits.add(
                        asked.reserve()
                                ? new Way.Edit("give-up-reserve", id, null, 0, "Give up the spare day " + title)
                                : new Way.Edit("leave-out", id, null, 0, "Leave out " + title));
            } else if (place.kind() == Kind.NO_ROOM) {
                edits.add(new Way.Edit("no-room", id, null, 0, title + " finds no class"));
            } else {
                for (int k = last + 1; k < place.first(); k++) {
                    LocalDateTime empty = start(k);
                    edits.add(new Way.Edit("leave-empty", null, empty, 0, "Leave " + Say.moment(empty) + " empty"));
                }
                last = Math.max(last, place.last());
                if (place.kind() == Kind.JOINED) {
                    edits.add(new Way.Edit(
                            "join", id, start(place.first()), 0, "Join " + title + " to the lesson before it"));
                }
                if (place.length() < asked.length()) {
                    edits.add(new Way.Edit(
                            "shorten",
                            id,
                            null,
                            place.length(),
                            "Shorten " + title + " to "
                                    + (place.length() == 1 ? "one class" : place.length() + " classes")));
                }
                if (asked.opensWeek()
                        && !now.stretch().slots().get(place.first()).weekStart()) {
                    edits.add(new Way.Edit(
                            "begin-mid-week", id, start(place.first()), 0, "Begin the unit of " + title + " mid-week"));
                }
            }
        }
        return edits;
    }

    private LocalDateTime start(int slot) {
        return now.in().sessions().get(now.sessions().get(slot)).start();
    }
}
