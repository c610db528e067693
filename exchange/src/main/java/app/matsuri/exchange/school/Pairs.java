package app.matsuri.exchange.school;

import app.matsuri.exchange.school.Finding.What;
import app.matsuri.exchange.school.Judge.End;
import app.matsuri.exchange.school.Judge.Mark;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Settles what lines say together: a break whose ends stand in two of them, and the same day said twice. */
final class Pairs {

    /** A break is no longer. */
    private static final int LONGEST = 45;

    private Pairs() {}

    /** The findings in their order, with breaks from end to end; what stands a second time is put aside. */
    static List<Finding> settled(List<Finding> found, List<Mark> marks) {
        List<Finding> all = new ArrayList<>(found);
        for (int k = 0; k < marks.size(); k++) {
            Mark mark = marks.get(k);
            boolean after = mark.end() == End.BEGINS_AFTER_CLASS;
            if (after || mark.end() == End.BEGINS) {
                LocalDate begins = after ? mark.day().plusDays(1) : mark.day();
                Optional<LocalDate> ends = end(marks, k, begins);
                Finding whole =
                        Finding.of(mark.line(), mark.text(), What.OFF, begins, ends.orElse(begins), mark.reason());
                if (all.stream().noneMatch(f -> f.what() == What.OFF && overlap(f, whole))
                        && (ends.isPresent() || !after)) {
                    put(all, ends.isPresent() ? whole : whole.doubted("It does not say when the break ends."));
                }
            }
        }
        return once(all);
    }

    private static Optional<LocalDate> end(List<Mark> marks, int from, LocalDate begins) {
        return marks.subList(from + 1, marks.size()).stream()
                .filter(m -> m.end() == End.ENDS || m.end() == End.CLASSES_RESUME)
                .map(m -> m.end() == End.ENDS ? m.day() : m.day().minusDays(1))
                .filter(day -> !day.isBefore(begins) && day.isBefore(begins.plusDays(LONGEST)))
                .findFirst();
    }

    private static boolean overlap(Finding a, Finding b) {
        LocalDate first = Objects.requireNonNull(b.first());
        LocalDate last = Objects.requireNonNull(b.last());
        LocalDate begins = a.first();
        LocalDate ends = a.last();
        return begins != null && ends != null && !begins.isAfter(last) && !ends.isBefore(first);
    }

    /** In place of the nothing that its line came to. */
    private static void put(List<Finding> all, Finding whole) {
        for (int k = 0; k < all.size(); k++) {
            if (all.get(k).line() == whole.line() && all.get(k).what() == What.NOTHING) {
                all.set(k, whole);
                return;
            }
        }
        int at = (int) all.stream().filter(f -> f.line() <= whole.line()).count();
        all.add(at, whole);
    }

    private static List<Finding> once(List<Finding> found) {
        List<Finding> settled = new ArrayList<>();
        Set<List<Object>> known = new HashSet<>();
        for (Finding one : found) {
            LocalDate first = one.first();
            LocalDate last = one.last();
            boolean again = one.what() != What.NOTHING
                    && first != null
                    && last != null
                    && !known.add(
                            List.of(one.what(), first, last, String.valueOf(one.from()), String.valueOf(one.to())));
            settled.add(again ? Finding.nothing(one.line(), one.text(), "said before") : one);
        }
        return settled;
    }
}
