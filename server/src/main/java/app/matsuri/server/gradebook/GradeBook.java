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

    /** Everything that was handed in in a term. Callers have made sure that the person may look at it. */
    @Transactional(readOnly = true)
    public List<HandIn> of(long termId) {
        return entities.createQuery("from HandInRecord where termId = :t", HandInRecord.class)
                .setParameter("t", termId)
                .getResultStream()
                .map(GradeBook::handIn)
                .toList();
    }

    /** What one student handed in in a term: courses call the same id different students. */
    @Transactional(readOnly = true)
    public List<HandIn> of(long termId, String student) {
        return entities.createQuery("from HandInRecord where termId = :t and student = :s", HandInRecord.class)
                .setParameter("t", termId)
                .setParameter("s", student)
                .getResultStream()
                .map(GradeBook::handIn)
                .toList();
    }

    private static HandIn handIn(HandInRecord of) {
        return new HandIn(of.course, of.item, of.student, of.handedIn);
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
