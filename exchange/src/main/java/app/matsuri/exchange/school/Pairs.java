package app.matsuri.exchange.school;

import app.matsuri.exchange.school.Finding.What;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Settles what lines say together: the same day said twice is taken once. */
final class Pairs {

    private Pairs() {}

    /** The same findings, in their order; what stands a second time is put aside. */
    static List<Finding> settled(List<Finding> found) {
        List<Finding> settled = new ArrayList<>();
        Set<List<Object>> known = new HashSet<>();
        for (Finding one : found) {
            LocalDate first = one.first();
            LocalDate last = one.last();
            if (one.what() == What.NOTHING || first == null || last == null) {
                settled.add(one);
                continue;
            }
            boolean again =
                    !known.add(List.of(one.what(), first, last, String.valueOf(one.from()), String.valueOf(one.to())));
            settled.add(again ? Finding.nothing(one.line(), one.text(), "said before") : one);
        }
        return settled;
    }
}
