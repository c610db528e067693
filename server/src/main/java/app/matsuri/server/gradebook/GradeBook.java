package app.matsuri.server.gradebook;

import app.matsuri.core.gradebook.HandIn;
import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A small simulated grade book: it knows who handed in what and when, and gets that from files. */
@Component
public class GradeBook {

    private final EntityManager entities;

    GradeBook(EntityManager entities) {
        this.entities = entities;
    }

    /** Columns, not records: every look at a change of a term asks for all of them. */
    private static final String READ =
            "select new app.matsuri.core.gradebook.HandIn(course, item, student, handedIn) from HandInRecord where termId = :t";

    /** Everything that was handed in in a term. Callers have made sure that the person may look at it. */
    @Transactional(readOnly = true)
    public List<HandIn> of(long termId) {
        return entities.createQuery(READ, HandIn.class)
                .setParameter("t", termId)
                .getResultList();
    }

    /** What one student handed in in a term: courses call the same id different students. */
    @Transactional(readOnly = true)
    public List<HandIn> of(long termId, String student) {
        return entities.createQuery(READ + " and student = :s", HandIn.class)
                .setParameter("t", termId)
                .setParameter("s", student)
                .getResultList();
    }

    /** Takes what a file says, in place of what was known of the same students' same work. */
    @Transactional
    public void take(long termId, List<HandIn> handIns) {
        for (HandIn one : handIns) {
            HandInRecord row = new HandInRecord();
            row.termId = termId;
            row.course = one.course();
            row.item = one.item();
            row.student = one.student();
            row.handedIn = one.at();
            entities.merge(row);
        }
        entities.flush();
        entities.clear();
    }
}
