package app.matsuri.server.reminder;

import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Student;
import app.matsuri.core.reminding.Reminding;
import app.matsuri.exchange.plan.BesidesWriter;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.link.Person;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.reminder.ReminderLetters.To;
import app.matsuri.server.reminder.ReminderPlans.Planned;
import app.matsuri.server.reminder.RemindersView.Coming;
import app.matsuri.server.reminder.RemindersView.WentOut;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.storage.Stored;
import jakarta.persistence.EntityManager;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reminders of a term: what will go out, stopping it, and where time stands still, letting it run. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/reminders", produces = "application/json")
class ReminderController {

    private static final int COMING = 40;
    private static final int LETTERS = 2000;
    private static final int GONE = 40;

    private final Access access;
    private final ReminderPlans plans;
    private final ReminderRounds rounds;
    private final ReminderLetters words;
    private final Letters letters;
    private final Refusals refusals;
    private final MatsuriProperties properties;
    private final Today today;
    private final EntityManager entities;

    ReminderController(
            Access access,
            ReminderPlans plans,
            ReminderRounds rounds,
            ReminderLetters words,
            Letters letters,
            Refusals refusals,
            MatsuriProperties properties,
            Today today,
            EntityManager entities) {
        this.access = access;
        this.plans = plans;
        this.rounds = rounds;
        this.words = words;
        this.letters = letters;
        this.refusals = refusals;
        this.properties = properties;
        this.today = today;
        this.entities = entities;
    }

    /** Which one is to be stopped, or is not any more. */
    record StopForm(@NotNull String name, boolean stopped) {}

    /** Up to when time runs, in the term's zone. */
    record ClockForm(@NotNull LocalDateTime until) {}

    /** How many letters went out meanwhile. */
    record Ran(int letters) {}

    /** A letter as it will arrive; its page is without scripts. */
    record Arriving(String recipient, String subject, String body, String html) {}

    @Transactional
    @GetMapping
    public RemindersView view(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestParam String course) {
        Stored stored = access.stands(by, termId);
        Course of = Find.course(stored.decisions(), course);
        long workspace = access.workspace(termId);
        ZoneId zone = stored.decisions().term().zone();
        Instant now = upTo(workspace, zone);
        Set<String> refused = refusals.of(workspace);
        int instructors = instructors(workspace, refused);
        List<Coming> coming = plans.of(stored, course, now).stream()
                .filter(p -> p.at().isAfter(now))
                .map(p -> coming(p, refused, instructors))
                .toList();
        return new RemindersView(
                of.besides().reminders().stream()
                        .<Object>map(BesidesWriter::reminder)
                        .toList(),
                coming.stream().limit(COMING).toList(),
                Math.max(0, coming.size() - COMING),
                gone(termId, course, zone),
                LocalDateTime.ofInstant(now, zone),
                letters.simulated(),
                properties.today() != null,
                instructors);
    }

    private Instant upTo(long workspace, ZoneId zone) {
        return rounds.upTo(workspace, today.now(zone).atZone(zone).toInstant());
    }

    private int instructors(long workspace, Set<String> refused) {
        return (int) entities.createQuery("select mail from Account where workspaceId = :w", String.class)
                .setParameter("w", workspace)
                .getResultStream()
                .filter(mail -> reached(mail, refused))
                .count();
    }

    private static boolean reached(String mail, Set<String> refused) {
        return !mail.isBlank() && !refused.contains(Refusals.plain(mail));
    }

    private static Coming coming(Planned planned, Set<String> refused, int instructors) {
        Reminding of = planned.reminding();
        List<Student> students = planned.students();
        int reached = (int) students.stream()
                .filter(student -> reached(Person.mail(student), refused))
                .count();
        return new Coming(
                of.key(),
                of.at(),
                of.section().section(),
                of.title(),
                of.thing() == null || !of.thing().course().equals(of.section().course())
                        ? null
                        : of.thing().id(),
                Words.word(of.reminder().before()),
                of.date(),
                of.own() ? instructors : reached,
                students.size() - reached,
                of.reminder().mail(),
                planned.stopped());
    }

    private List<WentOut> gone(long termId, String course, ZoneId zone) {
        record Moment(Instant at, String title) {}
        Map<Moment, List<Letter>> moments = new LinkedHashMap<>();
        entities.createQuery(
                        "select r.title, l from Reminded r, Letter l where l.id = r.letterId and r.termId = :t"
                                + " and r.course = :c order by l.moment desc, l.id",
                        Object[].class)
                .setParameter("t", termId)
                .setParameter("c", course)
                .setMaxResults(LETTERS)
                .getResultStream()
                .forEach(row -> {
                    Letter letter = (Letter) row[1];
                    moments.computeIfAbsent(new Moment(letter.moment, (String) row[0]), m -> new ArrayList<>())
                            .add(letter);
                });
        return moments.entrySet().stream()
                .limit(GONE)
                .map(e -> {
                    Map<Letter.State, Integer> states = new EnumMap<>(Letter.State.class);
                    e.getValue().forEach(l -> states.merge(l.state, 1, Integer::sum));
                    return new WentOut(
                            LocalDateTime.ofInstant(e.getKey().at(), zone),
                            e.getKey().title(),
                            e.getValue().get(0).id,
                            states.getOrDefault(Letter.State.SENT, 0),
                            states.getOrDefault(Letter.State.WAITING, 0) + states.getOrDefault(Letter.State.SENDING, 0),
                            states.getOrDefault(Letter.State.FAILED, 0),
                            states.getOrDefault(Letter.State.MISSED, 0),
                            states.getOrDefault(Letter.State.UNSURE, 0));
                })
                .toList();
    }

    /** Stops one before it goes out, or lets it go. */
    @Transactional
    @PostMapping(path = "/stop", consumes = "application/json")
    public StopForm stop(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @Valid @RequestBody StopForm form) {
        access.change(by, termId);
        StoppedReminding row = new StoppedReminding();
        row.termId = termId;
        row.name = form.name();
        StoppedReminding there = entities.find(StoppedReminding.class, new StoppedReminding.Key(termId, form.name()));
        if (form.stopped() && there == null) {
            entities.persist(row);
        } else if (!form.stopped() && there != null) {
            entities.remove(there);
        }
        return form;
    }

    /** The letter as it will arrive, to the first of those who get it. */
    @Transactional(readOnly = true)
    @GetMapping("/letter")
    public Arriving letter(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam String name) {
        Stored stored = access.stands(by, termId);
        long workspace = access.workspace(termId);
        Planned planned = plans
                .of(stored, course, upTo(workspace, stored.decisions().term().zone()))
                .stream()
                .filter(p -> p.reminding().key().equals(name))
                .findFirst()
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-reminder",
                        "No such reminder",
                        "That reminder is not to come any more. Look at the list again."));
        To to = planned.students().stream()
                .findFirst()
                .map(student -> new To(workspace, student.name(), Person.mail(student), ""))
                .orElseGet(() -> new To(workspace, by.displayName(), "", ""));
        Letter letter = words.remind(to, List.of(planned));
        return new Arriving(letter.recipient, letter.subject, letter.body, letter.html);
    }

    /** Lets time run where it stands still, so that what goes out can be seen. */
    @PostMapping(path = "/clock", consumes = "application/json")
    Ran run(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @Valid @RequestBody ClockForm form) {
        access.change(by, termId);
        Stored stored = access.stands(by, termId);
        if (properties.today() == null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "time-runs",
                    "Time runs by itself",
                    "Here time runs by itself: reminders go out at their moments.");
        }
        long workspace = access.workspace(termId);
        ZoneId zone = stored.decisions().term().zone();
        Instant until = form.until().atZone(zone).toInstant();
        if (until.isBefore(upTo(workspace, zone))) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "time-is-later",
                    "It is later already",
                    "Time has run further already: choose a later moment.");
        }
        return new Ran(rounds.letRun(workspace, until));
    }
}
