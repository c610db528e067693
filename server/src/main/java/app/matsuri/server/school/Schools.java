package app.matsuri.server.school;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.school.SchoolDay;
import app.matsuri.core.school.SchoolLine;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.TermReader;
import app.matsuri.server.findings.BesidePlan;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.Tokens;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import app.matsuri.server.storage.TermWritten;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Calendars that are published, and terms that follow them. */
@Component
class Schools implements BesidePlan {

    private final EntityManager entities;
    private final TermStore store;
    private final Clock clock;

    Schools(EntityManager entities, TermStore store, Clock clock) {
        this.entities = entities;
        this.store = store;
        this.clock = clock;
    }

    /** Those that a workspace publishes, also withdrawn ones, the newest first. */
    @Transactional(readOnly = true)
    public List<SchoolCalendar> of(long workspaceId) {
        return entities.createQuery("from SchoolCalendar where workspaceId = :w order by id desc", SchoolCalendar.class)
                .setParameter("w", workspaceId)
                .getResultList();
    }

    /** Publishes the days of some terms of a workspace. */
    @Transactional
    public SchoolCalendar publish(long workspaceId, String name, Collection<Long> terms) {
        terms.forEach(term -> store.load(workspaceId, term));
        SchoolCalendar calendar = new SchoolCalendar();
        calendar.workspaceId = workspaceId;
        calendar.name = name;
        calendar.token = Tokens.fresh();
        calendar.terms.addAll(terms);
        calendar.madeAt = Instant.now(clock);
        entities.persist(calendar);
        return calendar;
    }

    /** Withdraws one: its link leads nowhere, and terms that follow it keep their days. */
    @Transactional
    public void withdraw(long workspaceId, long id) {
        SchoolCalendar calendar = entities.find(SchoolCalendar.class, id);
        if (calendar == null || calendar.workspaceId != workspaceId) {
            throw none();
        }
        calendar.withdrawn = true;
    }

    /**
     * The one that a link leads to, or its address as .ics.
     *
     * @throws Problem when it leads nowhere
     */
    @Transactional(readOnly = true)
    public SchoolCalendar linked(String link) {
        String token = link.strip()
                .replaceFirst("[?#].*$", "")
                .replaceFirst("/+$", "")
                .replaceFirst("^.*/", "")
                .replaceFirst("\\.ics$", "");
        return entities.createQuery("from SchoolCalendar where token = :t and withdrawn = false", SchoolCalendar.class)
                .setParameter("t", token)
                .getResultStream()
                .findFirst()
                .orElseThrow(Schools::none);
    }

    /** The terms of a calendar that are still there, with nothing in them but what is for everyone. */
    @Transactional(readOnly = true)
    public List<Term> terms(SchoolCalendar calendar) {
        List<Term> terms = new ArrayList<>();
        for (long id : calendar.terms) {
            store.there(id).map(stored -> stored.decisions().term()).ifPresent(term -> terms.add(plain(term)));
        }
        return terms;
    }

    private static Term plain(Term term) {
        return term.withClosures(
                        term.closures().stream().filter(Closure::everyone).toList())
                .withRotation(null)
                .withFirstPlanDay(null);
    }

    private static List<SchoolDay> published(List<Term> terms) {
        return terms.stream()
                .flatMap(term -> SchoolDay.of(term).stream())
                .distinct()
                .toList();
    }

    /**
     * How a term stands to the calendar that it follows.
     *
     * @param withdrawn it is published no more
     * @param left lines that were left, and still differ
     */
    record Standing(SchoolCalendar calendar, boolean withdrawn, List<SchoolLine> lines, List<SchoolLine> left) {}

    /** How a term stands; empty where it follows none. */
    @Transactional(readOnly = true)
    public Optional<Standing> standing(Stored stored) {
        Following following = entities.find(Following.class, stored.termId());
        SchoolCalendar calendar = following == null ? null : entities.find(SchoolCalendar.class, following.calendarId);
        if (following == null || calendar == null) {
            return Optional.empty();
        }
        List<Term> terms = terms(calendar);
        if (calendar.withdrawn || terms.isEmpty()) {
            return Optional.of(new Standing(calendar, true, List.of(), List.of()));
        }
        Set<String> left = new LinkedHashSet<>();
        Json.read(following.leftOut).forEach(key -> left.add(key.stringValue()));
        // where the calendar has no term any more it says nothing, and takes nothing back
        Set<SchoolDay> taken = new LinkedHashSet<>(taken(following));
        taken.removeIf(day -> terms.stream().noneMatch(day::within));
        List<SchoolLine> lines =
                SchoolLine.of(taken, published(terms), stored.decisions().term());
        return Optional.of(new Standing(
                calendar,
                false,
                lines.stream().filter(line -> !left.contains(line.key())).toList(),
                lines.stream().filter(line -> left.contains(line.key())).toList()));
    }

    /**
     * Lets a term follow a calendar; what both say already counts as taken.
     *
     * @throws Problem when the link leads nowhere, or to the term itself
     */
    @Transactional
    public void follow(Stored stored, String link) {
        SchoolCalendar calendar = linked(link);
        if (calendar.terms.contains(stored.termId())) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "own-calendar",
                    "That is this term's own calendar",
                    "The calendar is published from this term: it cannot follow itself. Nothing was changed.");
        }
        stop(stored.termId());
        Following following = new Following();
        following.termId = stored.termId();
        following.calendarId = calendar.id;
        Term term = stored.decisions().term();
        following.taken = written(SchoolLine.taken(Set.of(), published(terms(calendar)), term), term);
        entities.persist(following);
    }

    /** Lets a term follow nothing; its days stay. */
    @Transactional
    public void stop(long termId) {
        Following following = entities.find(Following.class, termId);
        if (following != null) {
            entities.remove(following);
            entities.flush();
        }
    }

    /** Leaves lines as they are: they are not proposed again until they say something else. */
    @Transactional
    public void leave(long termId, Collection<String> keys) {
        Following following = entities.find(Following.class, termId);
        if (following != null) {
            Set<String> left = new LinkedHashSet<>();
            Json.read(following.leftOut).forEach(key -> left.add(key.stringValue()));
            left.addAll(keys);
            following.leftOut = Json.MAPPER.writeValueAsString(left);
        }
    }

    /** What was taken follows the term, whatever wrote it, so that no second step can be forgotten. */
    @EventListener
    @Transactional
    public void written(TermWritten written) {
        Following following = entities.find(Following.class, written.after().termId());
        SchoolCalendar calendar = following == null ? null : entities.find(SchoolCalendar.class, following.calendarId);
        if (following != null && calendar != null && !calendar.withdrawn) {
            Term term = written.after().decisions().term();
            following.taken = written(SchoolLine.taken(taken(following), published(terms(calendar)), term), term);
        }
    }

    @Override
    @Transactional(readOnly = true)
    public List<Finding> findings(Stored stored) {
        return standing(stored)
                .filter(s -> s.lines().stream().anyMatch(line -> line.state() != SchoolLine.State.BY_HAND))
                .map(s -> new Finding(
                        "school-differs",
                        Finding.Severity.WARNING,
                        new Finding.About("term", "", "", ""),
                        "“" + s.calendar().name
                                + "”, which this term follows, says other days: look at them in the Term view.",
                        null))
                .stream()
                .toList();
    }

    private static Set<SchoolDay> taken(Following following) {
        JsonNode json = Json.read(following.taken);
        In in = Known.there(In.of(json, "", new Faults()), "what was taken");
        return new LinkedHashSet<>(SchoolDay.of(Known.there(TermReader.term(in), "what was taken")));
    }

    private static String written(Set<SchoolDay> taken, Term like) {
        List<Closure> closures = new ArrayList<>();
        TreeSet<LocalDate> teach = new TreeSet<>();
        TreeMap<LocalDate, DayOfWeek> runs = new TreeMap<>();
        for (SchoolDay day : taken) {
            if (day instanceof SchoolDay.Off off) {
                closures.add(off.closure());
            } else if (day instanceof SchoolDay.Teaches one) {
                teach.add(one.first());
            } else if (day instanceof SchoolDay.RunsAs one) {
                runs.put(one.first(), one.weekday());
            }
        }
        return Json.MAPPER.writeValueAsString(
                PlanWriter.term(plain(like).withClosures(closures).withMarks(teach, runs)));
    }

    /** That there is no such calendar, or no longer. */
    static Problem none() {
        return new Problem(
                HttpStatus.NOT_FOUND,
                "no-calendar",
                "No calendar",
                "That link leads to no calendar: it was withdrawn, or is not whole. Ask whoever keeps the school's dates.");
    }
}
