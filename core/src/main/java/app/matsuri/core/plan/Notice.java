package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * An entry that nobody hands in: a reminder, an event, a trip, a span of days such as "work on the report".
 *
 * @param unit id of the unit it belongs to; null for none
 * @param text Markdown; may be empty
 * @param place where; may be empty
 * @param files what is attached; one that comes with nothing else comes with the notice
 * @param when when, in every section that has no time of its own
 * @param sections other times, by the code of a section of its course
 * @param reach whom it is for
 * @param only codes of the sections of its course that it is for; empty for all
 * @param shared other courses ("MAP 115") or sections of them ("MAP 115/A") that it is for too; it stays one notice
 * @param hiddenUntil students do not see it before; null for as soon as they are told
 */
public record Notice(
        String id,
        @Nullable String unit,
        String title,
        String text,
        String place,
        List<Link> links,
        List<FileUse> files,
        NoticeTime when,
        Map<String, NoticeTime> sections,
        Reach reach,
        List<String> only,
        List<String> shared,
        @Nullable DateRule hiddenUntil,
        Extra extra)
        implements Dated {

    /** The kind of a notice among dated things. */
    public static final String KIND = "notice";

    /** What the key of a notice among dated things begins with. */
    static final String AMONG_DATED = "notice:";

    /** Whom a notice is for. */
    public enum Reach {
        /** Oneself. */
        OWN,
        /** Its course, or the sections of it that are named, and whoever it is shared with. */
        COURSE,
        /** Every course of the term. */
        EVERYONE
    }

    /** One with no file. */
    public Notice(
            String id,
            @Nullable String unit,
            String title,
            String text,
            String place,
            List<Link> links,
            NoticeTime when,
            Map<String, NoticeTime> sections,
            Reach reach,
            List<String> only,
            List<String> shared,
            @Nullable DateRule hiddenUntil,
            Extra extra) {
        this(id, unit, title, text, place, links, List.of(), when, sections, reach, only, shared, hiddenUntil, extra);
    }

    public Notice {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(text, "text");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(when, "when");
        Objects.requireNonNull(reach, "reach");
        links = List.copyOf(links);
        files = List.copyOf(files);
        sections = Map.copyOf(sections);
        only = List.copyOf(only);
        shared = List.copyOf(shared);
    }

    /** A notice for the whole course. */
    public static Notice of(String id, String title, NoticeTime when) {
        return new Notice(
                id,
                null,
                title,
                "",
                "",
                List.of(),
                when,
                Map.of(),
                Reach.COURSE,
                List.of(),
                List.of(),
                null,
                Extra.NONE);
    }

    @Override
    public <T> T on(Cases<T> cases) {
        return cases.notice(this);
    }

    @Override
    public String key() {
        return AMONG_DATED + id;
    }

    @Override
    public String kind() {
        return KIND;
    }

    /** None: a notice stands beside lessons. */
    @Override
    public @Nullable String lesson() {
        return null;
    }

    @Override
    public boolean locked() {
        return false;
    }

    @Override
    public boolean wholeDays(@Nullable String section) {
        return (section == null ? when : when(section)).allDay();
    }

    @Override
    public @Nullable DateRule rule(Which which) {
        return when.rule(which);
    }

    @Override
    public boolean concerns(String section) {
        return reach == Reach.EVERYONE || only.isEmpty() || only.contains(section);
    }

    /** Whether it is also for the section of another course. */
    public boolean sharedWith(String course, String section) {
        return reach == Reach.EVERYONE
                || reach == Reach.COURSE
                        && (shared.contains(course) || shared.contains(new SectionRef(course, section).toString()));
    }

    /** When, in a section of its course. */
    public NoticeTime when(String section) {
        return sections.getOrDefault(section, when);
    }

    /** The same in another unit; in none where null. */
    public Notice withUnit(@Nullable String other) {
        return new Notice(
                id, other, title, text, place, links, files, when, sections, reach, only, shared, hiddenUntil, extra);
    }

    /** The same with other files. */
    public Notice withFiles(List<FileUse> others) {
        return new Notice(
                id, unit, title, text, place, links, others, when, sections, reach, only, shared, hiddenUntil, extra);
    }

    public Notice withWhen(NoticeTime other) {
        return with(other, sections, only, shared);
    }

    /** The same with another time for one section of its course; with the usual one where null. */
    public Notice withWhen(String section, @Nullable NoticeTime other) {
        return with(when, With.entry(sections, section, other), only, shared);
    }

    /** Whether it is a series in some section: it has no single dates then. */
    public boolean someSeries() {
        return when.series() || sections.values().stream().anyMatch(NoticeTime::series);
    }

    /**
     * The same with other dates.
     *
     * @param codes of the sections of its course that are meant; none for all that have no time of their own
     * @throws IllegalArgumentException when that means nothing; the message says why
     */
    public Notice withDates(Collection<String> codes, Map<Which, Own<DateRule>> dates) {
        if (codes.isEmpty()) {
            return withWhen(when.with(title, dates));
        }
        Notice now = this;
        for (String section : codes) {
            NoticeTime own = when(section).with(title, dates);
            now = now.withWhen(section, own.equals(when) ? null : own);
        }
        return now;
    }

    /** The same hidden until another time; null for as soon as students are told. */
    public Notice hiddenUntil(@Nullable DateRule other) {
        return new Notice(
                id, unit, title, text, place, links, files, when, sections, reach, only, shared, other, extra);
    }

    /** The same for courses and sections by other codes. */
    public Notice withShared(List<String> others) {
        return with(when, sections, only, others);
    }

    /** The same for a section of its course by another code, or without it (null). */
    public Notice renamed(String section, @Nullable String code) {
        Map<String, NoticeTime> times = new LinkedHashMap<>();
        sections.forEach((s, time) -> {
            if (!s.equals(section)) {
                times.put(s, time);
            } else if (code != null) {
                times.put(code, time);
            }
        });
        return with(when, times, With.renamed(only, section, code), shared);
    }

    private Notice with(
            NoticeTime time, Map<String, NoticeTime> times, List<String> onlySections, List<String> sharedWith) {
        return new Notice(
                id,
                unit,
                title,
                text,
                place,
                links,
                files,
                time,
                times,
                reach,
                onlySections,
                sharedWith,
                hiddenUntil,
                extra);
    }
}
