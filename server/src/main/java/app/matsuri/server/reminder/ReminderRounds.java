package app.matsuri.server.reminder;

import app.matsuri.core.plan.Student;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.LinksOfStudents;
import app.matsuri.server.link.Person;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.reminder.ReminderLetters.To;
import app.matsuri.server.reminder.ReminderPlans.Planned;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes the letters of reminders when their moments come. What was written up to when stands beside the letters and is written with
 * them in one transaction, one workspace at a time: a server that is killed in between wrote nothing and goes on from there, and of two
 * servers on one database the second finds it done.
 */
@Component
class ReminderRounds {

    private static final Logger LOG = LoggerFactory.getLogger(ReminderRounds.class);

    /** What is so late has been missed, if what it is of has come; the rounds are closer to each other. */
    private static final Duration LATE = Duration.ofMinutes(5);

    private static final int AT_ONCE = 500;

    private final EntityManager entities;
    private final TransactionTemplate step;
    private final Accounts accounts;
    private final TermStore store;
    private final ReminderPlans plans;
    private final ReminderLetters words;
    private final Letters letters;
    private final Links links;
    private final Refusals refusals;
    private final MatsuriProperties properties;
    private final Clock clock;

    ReminderRounds(
            EntityManager entities,
            TransactionTemplate step,
            Accounts accounts,
            TermStore store,
            ReminderPlans plans,
            ReminderLetters words,
            Letters letters,
            Links links,
            Refusals refusals,
            MatsuriProperties properties,
            Clock clock) {
        this.entities = entities;
        this.step = step;
        this.accounts = accounts;
        this.store = store;
        this.plans = plans;
        this.words = words;
        this.letters = letters;
        this.links = links;
        this.refusals = refusals;
        this.properties = properties;
        this.clock = clock;
    }

    /** Looks at every workspace that reminds of something. Where the day is pinned, time stands still until somebody lets it run. */
    @Scheduled(fixedDelayString = "PT20S", initialDelayString = "PT20S")
    void round() {
        if (properties.today() != null) {
            return;
        }
        List<Long> reminding = workspaces();
        idle(reminding, Instant.now(clock));
        for (Long workspace : reminding) {
            try {
                run(workspace, Instant.now(clock));
            } catch (RuntimeException e) {
                LOG.error("reminders of workspace {} were not written; they are tried again", workspace, e);
            }
        }
    }

    private List<Long> workspaces() {
        return entities.createQuery(
                        "select distinct t.workspaceId from TermRecord t, CourseRow c where c.termId = t.id"
                                + " and t.deletedAt is null and t.archived = false and c.reminders is not null",
                        Long.class)
                .getResultList();
    }

    /** Where nobody is reminded of anything any more time goes on too: who is again later has missed nothing. */
    private void idle(List<Long> reminding, Instant now) {
        step.executeWithoutResult(s -> entities.createQuery(
                        "update RemindingRun set upTo = :u where upTo < :u and workspaceId not in (:some)")
                .setParameter("u", now)
                .setParameter("some", reminding.isEmpty() ? List.of(-1L) : reminding)
                .executeUpdate());
    }

    /**
     * Up to when the reminders of a workspace went out; where none ever did, from now on.
     *
     * @param now the moment where a term of it is looked at: where the day is pinned, the clock there is another
     */
    Instant upTo(long workspaceId, Instant now) {
        return step.execute(s -> {
            RemindingRun run = entities.find(RemindingRun.class, workspaceId);
            if (run == null) {
                run = new RemindingRun();
                run.workspaceId = workspaceId;
                run.upTo = now;
                entities.persist(run);
            }
            return run.upTo;
        });
    }

    /**
     * Lets time run for a workspace to a moment, from one reminder to the next.
     *
     * @return how many letters were written
     */
    int letRun(long workspaceId, Instant until) {
        Instant from = upTo(workspaceId, until);
        Set<Instant> moments = new TreeSet<>();
        due(workspaceId, from, until).forEach(p -> moments.add(p.at()));
        moments.add(until);
        return moments.stream().mapToInt(moment -> run(workspaceId, moment)).sum();
    }

    /**
     * Writes what is due in a workspace up to a moment, inclusive, and was not written.
     *
     * @return how many letters were written
     */
    int run(long workspaceId, Instant until) {
        upTo(workspaceId, until);
        return step.execute(s -> {
            // whoever comes second waits here, and finds it done
            entities.createQuery("update RemindingRun set upTo = upTo where workspaceId = :w")
                    .setParameter("w", workspaceId)
                    .executeUpdate();
            Instant from = entities.createQuery("select upTo from RemindingRun where workspaceId = :w", Instant.class)
                    .setParameter("w", workspaceId)
                    .getSingleResult();
            int written = from.isBefore(until) ? write(workspaceId, due(workspaceId, from, until), until) : 0;
            entities.createQuery("update RemindingRun set upTo = :u where workspaceId = :w and upTo < :u")
                    .setParameter("w", workspaceId)
                    .setParameter("u", until)
                    .executeUpdate();
            return written;
        });
    }

    private List<Planned> due(long workspaceId, Instant from, Instant until) {
        List<Planned> due = new ArrayList<>();
        for (Stored stored : store.all(workspaceId)) {
            if (store.archived(stored.termId())) {
                continue;
            }
            plans.of(stored, null, until).stream()
                    .filter(p -> p.at().isAfter(from) && !p.at().isAfter(until))
                    .filter(p -> !p.stopped() && p.reminding().reminder().mail())
                    .forEach(due::add);
        }
        due.sort(Comparator.comparing(Planned::at).thenComparing(Planned::date));
        return due;
    }

    /** Who is written to at a moment, missed or not; what goes to the same person then is one letter. */
    private record Envelope(String mail, Instant at, boolean missed) {}

    /** What is in one. */
    private record Contents(To to, List<Planned> of) {}

    private int write(long workspaceId, List<Planned> due, Instant until) {
        if (due.isEmpty()) {
            return 0;
        }
        Set<String> refused = refusals.of(workspaceId);
        LinksOfStudents pages = links.ofStudents(workspaceId);
        Map<Envelope, Contents> contents = new LinkedHashMap<>();
        for (Planned one : due) {
            boolean missed = !one.date().isAfter(until) && one.at().isBefore(until.minus(LATE));
            for (To reader : readers(workspaceId, one, pages)) {
                String mail = Refusals.plain(reader.mail());
                if (!mail.isEmpty() && !refused.contains(mail)) {
                    Envelope envelope = new Envelope(mail, one.at(), missed);
                    contents.computeIfAbsent(envelope, e -> new Contents(reader, new ArrayList<>()))
                            .of()
                            .add(one);
                }
            }
        }
        return write(workspaceId, contents);
    }

    private List<To> readers(long workspaceId, Planned one, LinksOfStudents pages) {
        if (one.reminding().own()) {
            String before = one.reminding().reminder().before().name().toLowerCase(Locale.ROOT);
            return accounts.reminded(workspaceId, before).stream()
                    .map(teacher -> new To(workspaceId, teacher.name(), teacher.mail(), ""))
                    .toList();
        }
        String course = one.reminding().section().course();
        return one.students().stream()
                .map(student ->
                        new To(workspaceId, student.name(), Person.mail(student), page(one, course, student, pages)))
                .toList();
    }

    private String page(Planned one, String course, Student student, LinksOfStudents pages) {
        return pages.of(one.stored().termId(), course, student)
                .map(link -> letters.address() + Seeing.base(links.token(link)))
                .orElse("");
    }

    private int write(long workspaceId, Map<Envelope, Contents> contents) {
        int written = 0;
        List<Map.Entry<Envelope, Contents>> all = List.copyOf(contents.entrySet());
        for (int k = 0; k < all.size(); k += AT_ONCE) {
            List<Map.Entry<Envelope, Contents>> some = all.subList(k, Math.min(all.size(), k + AT_ONCE));
            Set<String> there =
                    new HashSet<>(entities.createQuery("select name from Letter where name in (:names)", String.class)
                            .setParameter(
                                    "names",
                                    some.stream()
                                            .map(e -> name(workspaceId, e.getKey()))
                                            .toList())
                            .getResultList());
            for (Map.Entry<Envelope, Contents> one : some) {
                String name = name(workspaceId, one.getKey());
                if (there.add(name)) {
                    write(one.getKey(), name, one.getValue());
                    written++;
                }
            }
            entities.flush();
            entities.clear();
        }
        return written;
    }

    private static String name(long workspaceId, Envelope envelope) {
        return "reminder " + workspaceId + " " + envelope.mail() + " " + envelope.at()
                + (envelope.missed() ? " missed" : "");
    }

    private void write(Envelope envelope, String name, Contents contents) {
        Letter letter = words.remind(contents.to(), contents.of());
        letter.name = name;
        if (envelope.missed()) {
            letter.state = Letter.State.MISSED;
        }
        letters.write(letter);
        Set<String> names = new HashSet<>();
        for (Planned one : contents.of()) {
            if (names.add(one.reminding().key())) {
                Reminded row = new Reminded();
                row.letterId = letter.id;
                row.name = one.reminding().key();
                row.termId = one.stored().termId();
                row.course = one.reminding().section().course();
                row.title = one.reminding().title();
                entities.persist(row);
            }
        }
    }
}
