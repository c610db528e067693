package app.matsuri.server.link;

import app.matsuri.core.plan.Student;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Links of students, found by who a student is. */
public final class LinksOfStudents {

    private final Map<String, PublicLink> byNumber = new HashMap<>();
    private final Map<String, PublicLink> byMail = new HashMap<>();
    private final Map<Entry, PublicLink> byEntry = new HashMap<>();

    /** An entry of a course's rosters. */
    private record Entry(long termId, String course, String student) {}

    LinksOfStudents(List<PublicLink> links) {
        for (PublicLink link : links) {
            if (link.rosterNumber != null) {
                byNumber.putIfAbsent(link.rosterNumber, link);
            }
            if (link.mail != null) {
                byMail.putIfAbsent(link.mail, link);
            }
            if (link.termId != null && link.course != null && link.student != null) {
                byEntry.putIfAbsent(new Entry(link.termId, link.course, link.student), link);
            }
        }
    }

    /** The link of that very entry, else of the same person: by number, else by address; empty for none. */
    public Optional<PublicLink> of(long termId, String course, Student student) {
        PublicLink entry = byEntry.get(new Entry(termId, course, student.id()));
        if (entry != null) {
            return Optional.of(entry);
        }
        Person person = Person.of(student);
        PublicLink link = person.number() == null ? null : byNumber.get(person.number());
        if (link == null && person.mail() != null) {
            link = byMail.get(person.mail());
        }
        return Optional.ofNullable(link).filter(found -> Person.of(found).same(person));
    }
}
