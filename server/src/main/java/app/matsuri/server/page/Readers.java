package app.matsuri.server.page;

import app.matsuri.core.gradebook.HandIn;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.shown.Reader;
import app.matsuri.core.shown.Shown;
import app.matsuri.server.clock.Today;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.Links.Sees;
import app.matsuri.server.storage.Stored;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What who has a link sees of a section. */
@Component
public class Readers {

    private final GradeBook book;
    private final Today today;
    /** What follows from a term as it is stored: many read it, few change it. */
    private final Cache<Version, Schedule> schedules =
            Caffeine.newBuilder().maximumSize(50).softValues().build();

    /** What was looked at within the last minute: a class that opens its page at once sees the same. */
    private final Cache<Look, Shown> shown = Caffeine.newBuilder()
            .maximumSize(100)
            .softValues()
            .expireAfterWrite(Duration.ofMinutes(2))
            .build();

    private record Look(Version version, SectionRef section, Reader reader, boolean own, LocalDateTime now) {}

    private record Version(long termId, long version, boolean shortened) {

        static Version of(Stored stored) {
            return new Version(stored.termId(), stored.version(), stored.shortened());
        }
    }

    Readers(GradeBook book, Today today) {
        this.book = book;
        this.today = today;
    }

    /**
     * What is seen of a section, as it is planned where it is one's own; empty where the term has it no longer.
     */
    public Optional<Shown> shown(Links.Sees sees, boolean own) {
        Stored stored = sees.stored();
        Schedule schedule = schedule(stored);
        LocalDateTime now = today.now(stored.decisions().term().zone());
        return schedule.section(sees.section().course(), sees.section().section())
                .map(in -> {
                    Reader reader = reader(sees, in);
                    Version version = Version.of(stored);
                    return shown.get(
                            new Look(version, sees.section(), reader, own, now),
                            look -> own ? Shown.planned(schedule, in, now) : Shown.of(schedule, in, reader, now));
                });
    }

    /** What follows from a term as it is stored. */
    public Schedule schedule(Stored stored) {
        return schedules.get(Version.of(stored), version -> Schedule.of(stored.decisions()));
    }

    /** Who has neither handed anything in nor dates of their own sees what the class sees. */
    Reader reader(Sees sees, SectionSchedule in) {
        if (sees.student() == null) {
            return Reader.CLASS;
        }
        String id = sees.student().id();
        Set<ThingRef> handedIn = book.of(sees.stored().termId(), id).stream()
                .filter(one -> one.course().equals(in.course().code()))
                .map((HandIn one) -> new ThingRef(one.course(), one.item()))
                .collect(Collectors.toSet());
        boolean own = sees.stored().decisions().courses().stream()
                .flatMap(course -> course.sections().stream())
                .flatMap(section -> section.adjustments().stream())
                .anyMatch(adjustment -> id.equals(adjustment.student()));
        return own || !handedIn.isEmpty() ? new Reader(id, handedIn) : Reader.CLASS;
    }
}
