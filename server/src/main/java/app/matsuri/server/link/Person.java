package app.matsuri.server.link;

import app.matsuri.core.plan.Student;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Who a student is over several rosters: by roster number, else by address, never by name.
 *
 * @param number roster number; null where the roster has none
 * @param mail address in lower case; null where the roster has none
 */
public record Person(@Nullable String number, @Nullable String mail) {

    /** Who stands on a roster. An id that is an address, has no digit, or was made from the name is no number. */
    public static Person of(Student student) {
        String id = student.id().strip();
        boolean number = !id.contains("@")
                && id.codePoints().anyMatch(Character::isDigit)
                && !letters(id).equals(letters(student.name()));
        String mail = mail(student);
        return new Person(
                number ? id : null, mail.isBlank() ? null : mail.strip().toLowerCase(Locale.ROOT));
    }

    /** Where a student is written to: the address on the roster, or the id where that is one; empty for nowhere. */
    public static String mail(Student student) {
        String id = student.id().strip();
        return student.mail().isBlank() && id.contains("@")
                ? id
                : student.mail().strip();
    }

    /** Who a link is of. */
    static Person of(PublicLink link) {
        return new Person(link.rosterNumber, link.mail);
    }

    private static String letters(String text) {
        return text.codePoints()
                .filter(Character::isLetter)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString()
                .toLowerCase(Locale.ROOT);
    }

    /** Whether anything but a name is known, so that the same person can be found again. */
    public boolean known() {
        return number != null || mail != null;
    }

    /** Whether both are the same person. */
    public boolean same(Person other) {
        return number != null && other.number != null
                ? number.equals(other.number)
                : mail != null && mail.equals(other.mail);
    }
}
