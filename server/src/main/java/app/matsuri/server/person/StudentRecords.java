package app.matsuri.server.person;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.plan.Json;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.change.ChangeService.Telling;
import app.matsuri.server.history.History;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.row.AdjustmentRow;
import app.matsuri.server.storage.row.Row;
import app.matsuri.server.storage.row.StudentRow;
import com.fasterxml.jackson.annotation.JsonAutoDetect;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * All that a term keeps about a student: where they are on rosters, dates of their own, what they handed in, bookings, links and
 * letters. It is given out as one file, and taken out for good, out of the history too.
 */
@Component
class StudentRecords {

    /** What is kept beside the plan: what it is called in the file, and the rows of a term or a workspace. */
    private static final Map<String, String> BESIDE = new LinkedHashMap<>();

    static {
        BESIDE.put("handedIn", "HandInRecord x where x.termId = :term and x.student = :id");
        BESIDE.put("bookings", "Booking x where x.termId = :term and (x.rosterNumber = :id or lower(x.mail) = :mail)");
        BESIDE.put(
                "links",
                "PublicLink x where x.workspaceId = :workspace and (x.student = :id and x.termId = :term"
                        + " or x.rosterNumber = :id or lower(x.mail) = :mail)");
        BESIDE.put("letters", "Letter x where x.workspaceId = :workspace and lower(x.recipient) = :mail");
        BESIDE.put("noReminders", "NoReminders x where x.workspaceId = :workspace and lower(x.mail) = :mail");
    }

    private static final JsonMapper FIELDS = JsonMapper.builder()
            .changeDefaultVisibility(v -> v.withFieldVisibility(JsonAutoDetect.Visibility.ANY))
            .build();

    private final EntityManager entities;
    private final Access access;
    private final ChangeService changes;
    private final History history;

    StudentRecords(EntityManager entities, Access access, ChangeService changes, History history) {
        this.entities = entities;
        this.access = access;
        this.changes = changes;
        this.history = history;
    }

    private record Found(Student student, List<Place> places) {}

    private record Place(Course course, Section section) {}

    private static Found found(Stored stored, String id) {
        List<Place> places = stored.decisions().courses().stream()
                .flatMap(c -> c.sections().stream()
                        .filter(s -> s.students().stream()
                                .anyMatch(student -> student.id().equals(id)))
                        .map(s -> new Place(c, s)))
                .toList();
        return places.stream()
                .flatMap(p -> p.section().students().stream())
                .filter(student -> student.id().equals(id))
                .findFirst()
                .map(student -> new Found(student, places))
                .orElseThrow(() -> NoSuch.in("this term", "student", id));
    }

    /** All of it, as a file in JSON. */
    @Transactional(readOnly = true)
    ObjectNode of(SignedIn by, long termId, String id) {
        Stored stored = access.change(by, termId);
        Found found = found(stored, id);
        ObjectNode all = Json.MAPPER.createObjectNode();
        all.put("term", stored.decisions().term().name());
        all.set("student", Json.MAPPER.valueToTree(found.student()));
        ArrayNode rosters = all.putArray("rosters");
        found.places()
                .forEach(p -> rosters.add(p.course().code() + " " + p.section().code()));
        ArrayNode own = all.putArray("ownDates");
        stored.rows().all().stream()
                .filter(AdjustmentRow.class::isInstance)
                .filter(about(id))
                .forEach(row -> own.add(Json.MAPPER.<ObjectNode>valueToTree(row)));
        for (Map.Entry<String, String> beside : BESIDE.entrySet()) {
            ArrayNode rows = all.putArray(beside.getKey());
            asked("select x from " + beside.getValue(), stored, found.student())
                    .getResultList()
                    .forEach(row -> rows.add(FIELDS.<ObjectNode>valueToTree(row)));
        }
        return all;
    }

    private Query asked(String question, Stored stored, Student student) {
        Query query = entities.createQuery(question);
        String mail = student.mail().isEmpty() ? "-" : student.mail().toLowerCase(Locale.ROOT);
        for (var parameter : query.getParameters()) {
            switch (String.valueOf(parameter.getName())) {
                case "term" -> query.setParameter("term", stored.termId());
                case "workspace" -> query.setParameter("workspace", access.workspace(stored.termId()));
                case "id" -> query.setParameter("id", student.id());
                default -> query.setParameter("mail", mail);
            }
        }
        return query;
    }

    private static Predicate<Row> about(String id) {
        return row -> row instanceof StudentRow student && student.id.equals(id)
                || row instanceof AdjustmentRow own && own.student.equals(id);
    }

    /** Off a section: first the dates of their own, then off its roster. */
    private static List<Change> out(Place place, String id) {
        String course = place.course().code();
        String section = place.section().code();
        List<Change> out = new ArrayList<>();
        place.section().adjustments().stream()
                .filter(own -> id.equals(own.student()))
                .forEach(own ->
                        out.add(new PutAdjustment(course, section, new Adjustment(own.item(), id, Map.of(), ""))));
        out.add(new PutRoster(
                course,
                section,
                place.section().students().stream()
                        .filter(student -> !student.id().equals(id))
                        .toList()));
        return out;
    }

    /**
     * Takes all of it out: off the rosters by a step of the history, and what is beside the plan and in earlier steps for good.
     *
     * @return the version of the term then
     */
    @Transactional
    long remove(SignedIn by, long termId, long version, String id) {
        Stored stored = access.change(by, termId);
        Found found = found(stored, id);
        long now = version;
        for (Place place : found.places()) {
            for (Change change : out(place, id)) {
                now = changes.make(by, termId, now, new ChangeGiven(change, false), new Telling(false, false))
                        .stored()
                        .version();
            }
        }
        for (String rows : BESIDE.values()) {
            asked("delete from " + rows, stored, found.student()).executeUpdate();
        }
        entities.createQuery("delete from WhatIfStep s where s.changed like :said and s.whatIfId in"
                        + " (select w.id from WhatIf w where w.termId = :term)")
                .setParameter(
                        "said",
                        "%\"student\":"
                                + Json.write(Json.MAPPER.getNodeFactory().stringNode(id)) + "%")
                .setParameter("term", termId)
                .executeUpdate();
        history.forget(termId, about(id), found.student().name());
        return now;
    }
}
