package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.time.DayOfWeek;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A repeating set of work tied to classes: "each second lab: video opens 7 days before, quiz opens at the end of the
 * class". It yields numbered items, which follow later edits of it unless they were edited by hand.
 *
 * @param unit id of the unit that its items go to
 * @param weekdays on which of a section's classes it counts; empty for all
 * @param words only classes in which a lesson begins whose title holds them, in any case; empty for all
 * @param every the how-manieth of those, 1 for each
 * @param begin the first of them, from 1
 * @param times how many times at most; 0 for as many as there are classes
 * @param yielded how many classes each section had for it when it was last put, by the section's code
 * @param parts what each time brings
 */
public record Rhythm(
        String id,
        String title,
        String unit,
        Set<DayOfWeek> weekdays,
        String words,
        int every,
        int begin,
        int times,
        Map<String, Integer> yielded,
        List<Part> parts,
        Extra extra) {

    /**
     * One thing of each time.
     *
     * @param id names it within the rhythm
     * @param item what it is like; in its title, {@code {n}} stands for the number of the time
     * @param remind how long before its last date a notice reminds of it; null for none
     */
    public record Part(String id, Item item, @Nullable Offset remind) {

        public Part {
            Objects.requireNonNull(id, "id");
            Objects.requireNonNull(item, "item");
        }
    }

    public Rhythm {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(unit, "unit");
        Objects.requireNonNull(words, "words");
        if (every < 1 || begin < 1 || times < 0) {
            throw new IllegalArgumentException("rhythm " + id + ": every and begin are 1 or more, times 0 or more");
        }
        weekdays = weekdays.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(weekdays));
        yielded = Map.copyOf(yielded);
        parts = List.copyOf(parts);
    }

    /** The same worked out for so many classes in each section. */
    public Rhythm yielded(Map<String, Integer> other) {
        return new Rhythm(id, title, unit, weekdays, words, every, begin, times, other, parts, extra);
    }

    /** How many times it comes: as often as the section with the most classes for it, at most as often as it says. */
    public int comes() {
        int most = yielded.values().stream().mapToInt(n -> n).max().orElse(0);
        return times == 0 ? most : Math.min(most, times);
    }

    /** The sections that have an n-th class for it; none where all have, or the part's own where it names some. */
    private List<String> only(ItemDetails like, int n) {
        List<String> have = yielded.entrySet().stream()
                .filter(s -> s.getValue() >= n && like.concerns(s.getKey()))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
        boolean all = like.only().isEmpty() && have.size() == yielded.size();
        return all || have.isEmpty() ? like.only() : have;
    }

    /** The same bringing something else each time. */
    public Rhythm withParts(List<Part> others) {
        return new Rhythm(id, title, unit, weekdays, words, every, begin, times, yielded, others, extra);
    }

    /** The same for a section by another code, or without it (null). */
    Rhythm renamed(String section, @Nullable String code) {
        if (!yielded.containsKey(section)) {
            return this;
        }
        Map<String, Integer> now = new HashMap<>(yielded);
        Integer had = now.remove(section);
        if (code != null) {
            now.put(code, had);
        }
        return yielded(now);
    }

    /** Id of the item that a part yields the n-th time, n from 1. */
    public String itemId(Part part, int n) {
        return id + "-" + part.id() + "-" + n;
    }

    /** What a part yields the n-th time. */
    public Item item(Part part, int n) {
        Item like = part.item();
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            rules.put(which, numbered(like.rule(which), n));
        }
        return new Item(
                        itemId(part, n),
                        null,
                        like.kind(),
                        like.title().contains("{n}") ? like.title().replace("{n}", "" + n) : like.title() + " " + n,
                        like.shortName().replace("{n}", "" + n),
                        like.points(),
                        like.minutes(),
                        like.marking(),
                        like.locked(),
                        like.place(),
                        null,
                        null,
                        null,
                        like.details().only(only(like.details(), n)),
                        like.extra())
                .withRules(rules);
    }

    private @Nullable DateRule numbered(@Nullable DateRule rule, int n) {
        return rule != null && rule.anchor().named(Anchor.Sort.RHYTHM).isPresent()
                ? rule.from(new Anchor.InRhythm(id, n, rule.anchor().edge()), rule.plus())
                : rule;
    }

    /** The notice that reminds of what a part yields the n-th time; empty where none does. */
    public Optional<Notice> reminder(Part part, int n) {
        Which last = part.item().closes() != null ? Which.CLOSES : part.item().due() != null ? Which.DUE : Which.OPENS;
        if (part.remind() == null || part.item().rule(last) == null) {
            return Optional.empty();
        }
        Item item = item(part, n);
        String says = item.title()
                + (last == Which.OPENS ? " opens soon" : last == Which.DUE ? " is due soon" : " closes soon");
        DateRule begins = DateRule.of(new Anchor.OfItem(item.id(), last))
                .plus(-part.remind().n(), part.remind().unit());
        Notice notice = Notice.of(item.id() + "-reminder", says, NoticeTime.once(false, begins, null));
        return Optional.of(new Notice(
                notice.id(),
                unit,
                notice.title(),
                "",
                "",
                List.of(),
                notice.when(),
                Map.of(),
                Notice.Reach.COURSE,
                item.details().only(),
                List.of(),
                null,
                Extra.NONE));
    }

    /** Whether a lesson's title fits the rhythm. */
    public boolean fits(String title) {
        return title.toLowerCase(Locale.ROOT).contains(words.toLowerCase(Locale.ROOT));
    }
}
