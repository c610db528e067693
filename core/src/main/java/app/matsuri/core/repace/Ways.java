package app.matsuri.core.repace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.With;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.schedule.HoldsTest;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The ways out of a loss, each the cheapest of all plans under its limit, and tidying a whole term. */
public final class Ways {

    private final SectionSchedule before;
    private final Paced then;
    private final Pacing stood;
    private final Paced now;

    private Ways(SectionSchedule before, SectionSchedule after, @Nullable LocalDateTime from) {
        this.before = before;
        this.then = Paced.of(before);
        this.stood = then.stands();
        this.now = before == after && from == null ? then : Paced.of(after, from);
    }

    /**
     * The ways out of what was lost between two schedules of one section. Those that cannot be are left out.
     *
     * @param before before the loss
     * @param after after it
     * @param by a day from which on nothing may differ from before; null for none
     * @param from the moment before which classes are over and nothing changes; null for none
     */
    public static List<Way> out(
            SectionSchedule before, SectionSchedule after, @Nullable LocalDate by, @Nullable LocalDateTime from) {
        return new Ways(before, after, from).out(by);
    }

    /** What lets everything stand as it falls. */
    public static Way slide(SectionSchedule in) {
        Ways ways = new Ways(in, in, null);
        return ways.way("let-it-slide", "Let it slide: everything falls as it comes", ways.now.stands());
    }

    /** The cheapest plan of the whole term. */
    public static Way tidy(SectionSchedule in) {
        return tidy(in, null);
    }

    /**
     * The cheapest plan of what is to come.
     *
     * @param from the moment before which classes are over and nothing changes; null for none
     */
    public static Way tidy(SectionSchedule in, @Nullable LocalDateTime from) {
        Ways ways = new Ways(in, in, from);
        return ways.way(
                "tidy-the-weeks",
                "Tidy the weeks: the cheapest plan of the whole term",
                Optimum.of(ways.now.stretch()));
    }

    /**
     * The steps that make the most room at the least cost. Nothing is left out that nobody said may be: such lessons stay in
     * their order, and the last find no class. Empty where the cheapest plan cannot be reached by steps.
     */
    public static List<Way.Step> fitting(SectionSchedule in) {
        Ways ways = new Ways(in, in, null);
        List<Way.Step> steps =
                Steps.of(ways.now, Optimum.of(ways.now.stretch())).orElse(List.of());
        Set<String> unasked = ways.unasked(steps);
        return With.without(steps, step -> step.change() instanceof LeaveOut out && unasked.contains(out.lesson()));
    }

    /** When the first class begins that was lost, or that has other lessons, between two schedules of a section; empty for none. */
    public static Optional<LocalDateTime> hand(SectionSchedule before, SectionSchedule after) {
        Set<LocalDateTime> lost = lost(before, after);
        return before.sessions().all().stream()
                .filter(s -> lost.contains(s.name()))
                .map(Session::start)
                .findFirst();
    }

    /** The one to choose beforehand: the cheapest that leaves out nothing but what may be. */
    public static Way beforehand(List<Way> ways) {
        return ways.stream()
                .filter(w -> w.drops().isEmpty())
                .min(Comparator.comparingLong(Way::total))
                .orElse(ways.get(0));
    }

    private List<Way> out(@Nullable LocalDate by) {
        List<Way> ways = new ArrayList<>();
        ways.add(way("let-it-slide", "Let it slide: everything after it comes later", now.stands()));
        Set<LocalDateTime> gone = lost(before, now.in());
        LocalDate lost = before.sessions().all().stream()
                .filter(s -> gone.contains(s.name()))
                .map(Session::date)
                .findFirst()
                .orElse(null);
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
        leftOut(gone).ifPresent(ways::add);
        return ways;
    }

    /** Names of sessions that a lesson had and cannot have any more; where there are none, those of the first day with others. */
    private static Set<LocalDateTime> lost(SectionSchedule before, SectionSchedule after) {
        Set<LocalDateTime> stand = new HashSet<>();
        after.sessions().all().stream().filter(s -> s.open() || s.record()).forEach(s -> stand.add(s.name()));
        Set<LocalDateTime> had = new HashSet<>(before.lessonsBySession().keySet());
        Set<LocalDateTime> lost = new HashSet<>(had);
        lost.removeAll(stand);
        if (lost.isEmpty()) {
            before.firstDifference(after)
                    .ifPresent(day -> had.stream()
                            .filter(name -> name.toLocalDate().equals(day))
                            .forEach(lost::add));
        }
        return lost;
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
            if (stood == null || first < 0 || slot(stoodIn(stood.last())) - first != stood.length() - 1) {
                return Optional.empty();
            }
            int length = stood.given();
            lessons.add(asked.must(first, stood.used(), length, stood.kind() == Kind.JOINED));
            must.add(new Place(stood.kind(), first, stood.length(), length, stood.used()));
        }
        if (must.stream().allMatch(place -> place == null)) {
            return Optional.empty(); // nothing stands behind it that could be caught up with
        }
        return Optimum.holding(now.stretch().with(lessons))
                .filter(best -> holds(best, must))
                .map(best -> way(name, sentence + Say.day(day), best));
    }

    private static boolean holds(Pacing best, List<Place> must) {
        for (int i = 0; i < must.size(); i++) {
            if (must.get(i) != null && !must.get(i).equals(best.places().get(i))) {
                return false;
            }
        }
        return true;
    }

    /** Where a lesson that was not taught before stood; null where it did not. */
    private @Nullable Place stood(String lesson) {
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

    /** The cheapest plan without the lessons that lost their class; none that is fixed on a date or holds a test. */
    private Optional<Way> leftOut(Set<LocalDateTime> gone) {
        Set<String> tests = HoldsTest.in(before.course(), before.section());
        Set<String> out = new HashSet<>();
        for (Placement placement : before.placements()) {
            Lesson lesson = placement.lesson();
            boolean lost = placement.slots().stream()
                    .anyMatch(s -> !s.taught()
                            && gone.contains(before.sessions().get(s.session()).name()));
            if (lost && before.section().pin(lesson) == null && !tests.contains(lesson.id())) {
                out.add(lesson.id());
            }
        }
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
        Pacing best = Optimum.of(now.stretch().with(rest));
        List<Place> places = new ArrayList<>();
        for (Asked asked : now.stretch().lessons()) {
            boolean leavable = asked.leavable() || asked.reserve();
            places.add(leavable ? Place.LEFT_OUT : Place.NO_ROOM);
        }
        for (int k = 0; k < kept.size(); k++) {
            places.set(kept.get(k), best.places().get(k));
        }
        List<String> titles = titles(out);
        return Optional.of(way("leave-it-out", "Leave out " + joined(titles), new Pacing(places), titles));
    }

    private List<String> titles(Collection<String> lessons) {
        return now.in().course().lessons().stream()
                .filter(l -> lessons.contains(l.id()))
                .map(l -> "“" + l.title() + "”")
                .toList();
    }

    private static String joined(List<String> titles) {
        return String.join(" and ", titles);
    }

    private Way way(String name, String sentence, Pacing pacing) {
        return way(name, sentence, pacing, List.of());
    }

    /** @param said titles of lessons that the sentence says it leaves out */
    private Way way(String name, String sentence, Pacing pacing, List<String> said) {
        List<Way.Step> steps = Steps.of(now, pacing).orElse(null);
        List<String> more = With.without(titles(unasked(steps)), said::contains);
        List<String> drops = new ArrayList<>(said);
        drops.addAll(more);
        return new Way(
                name,
                more.isEmpty() ? sentence : sentence + ", without " + joined(more),
                Scorer.costs(now.stretch(), pacing),
                Edits.of(now, pacing),
                steps,
                now.dates(pacing),
                drops);
    }

    /** Lessons that steps leave out though nobody said that they may be, or that are fixed on a date or hold a test. */
    private Set<String> unasked(@Nullable List<Way.Step> steps) {
        Set<String> tests = HoldsTest.in(now.in().course(), now.in().section());
        Set<String> unasked = new HashSet<>();
        for (Way.Step step : steps == null ? List.<Way.Step>of() : steps) {
            if (step.change() instanceof LeaveOut out) {
                Placement placement = now.in().placement(out.lesson());
                Lesson lesson = placement.lesson();
                boolean may = lesson.optional()
                        || lesson.reserve()
                        || lesson.id().equals(placement.unit().yields());
                if (!may || now.in().section().pin(lesson) != null || tests.contains(lesson.id())) {
                    unasked.add(lesson.id());
                }
            }
        }
        return unasked;
    }
}
