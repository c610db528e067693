package app.matsuri.core.shown;

import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Work as it was told.
 *
 * @param ref its course, which may be another that shares it, and its id
 * @param title as it stands; as it was told where the work is gone
 * @param about it as it stands; null where it is gone
 * @param unit id of its unit; null where it is gone
 * @param dates those that were told, or the reader's own
 * @param open whether it has opened
 * @param own whether some of its dates are the reader's own
 * @param handedIn whether the reader handed it in
 * @param instructions Markdown; empty before it opens
 * @param links none before it opens
 * @param files those that may be had now
 */
public record ShownThing(
        ThingRef ref,
        String title,
        @Nullable About about,
        @Nullable String unit,
        Map<Which, LocalDateTime> dates,
        boolean open,
        boolean own,
        boolean handedIn,
        String instructions,
        List<Link> links,
        List<ShownFile> files) {

    /**
     * What work is, from its listing on.
     *
     * @param points null where it has none
     * @param minutes expected minutes of work; null where unknown
     * @param handIn "file", "paper" or "nothing"; empty where not said
     * @param audience whom it is for, as {@link ItemDetails} has it
     * @param only codes of the sections it is for; empty for all
     */
    public record About(
            String kind,
            @Nullable BigDecimal points,
            @Nullable Integer minutes,
            String handIn,
            String handInPlace,
            String audience,
            List<String> only) {

        static About of(Item item) {
            ItemDetails details = item.details();
            return new About(
                    item.kind(),
                    item.points(),
                    item.minutes(),
                    details.handIn(),
                    details.handInPlace(),
                    details.audience(),
                    details.only());
        }
    }

    public ShownThing {
        Map<Which, LocalDateTime> copy = new EnumMap<>(Which.class);
        copy.putAll(dates);
        dates = Collections.unmodifiableMap(copy);
        links = List.copyOf(links);
        files = List.copyOf(files);
    }

    /** One of its dates; null where none was told. */
    public @Nullable LocalDateTime at(Which which) {
        return dates.get(which);
    }

    /** The date that places it: due, else closes, else opens. */
    public LocalDateTime main() {
        for (Which which : new Which[] {Which.DUE, Which.CLOSES, Which.OPENS}) {
            LocalDateTime at = dates.get(which);
            if (at != null) {
                return at;
            }
        }
        throw new IllegalStateException("work without a date was told: " + ref);
    }

    /** Whether it is shut: it is no longer taken. */
    public boolean shut(LocalDateTime now) {
        LocalDateTime closes = dates.get(Which.CLOSES);
        return closes != null && !closes.isAfter(now);
    }

    /** Whether it was due, is still taken, and is not known to be handed in. */
    public boolean missed(LocalDateTime now) {
        LocalDateTime due = dates.get(Which.DUE);
        return due != null && !due.isAfter(now) && !shut(now) && !handedIn;
    }

    /** Whether it is still to be done: neither due nor shut, and not known to be handed in. */
    public boolean ahead(LocalDateTime now) {
        return !handedIn && main().isAfter(now) && (dates.containsKey(Which.DUE) || dates.containsKey(Which.CLOSES));
    }
}
