package app.matsuri.core.change;

import app.matsuri.core.calendar.Closure;
import java.util.List;

/** Whom a day off concerns, after a course or a section got another code. */
final class Scopes {

    private Scopes() {}

    /** The closure with the code replaced in its scope, in the codes of its sections too. */
    static Closure renamed(Closure closure, String old, String now) {
        if (closure.only() == null || old.equals(now)) {
            return closure;
        }
        List<String> only = closure.only().stream()
                .map(code ->
                        code.equals(old) ? now : code.startsWith(old + "/") ? now + code.substring(old.length()) : code)
                .toList();
        return new Closure(
                closure.days(),
                closure.from(),
                closure.to(),
                closure.reason(),
                closure.kind(),
                closure.noClass(),
                closure.planPauses(),
                closure.nothingDue(),
                only,
                closure.justInCase(),
                closure.extra());
    }
}
