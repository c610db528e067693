package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Sessions.Note;
import app.matsuri.core.session.Sessions.Note.Kind;
import java.util.Locale;
import java.util.function.Consumer;

/** What is noteworthy about how the sessions came about: clashes, rules that give nothing, changes of nothing. */
final class SessionRemarks implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (Note note : in.sessions().notes()) {
            boolean problem = note.kind() == Kind.RULE_NOT_READ || note.kind() == Kind.NO_SESSION_FROM_RULE;
            boolean warning = note.kind() == Kind.OVERLAP || note.kind() == Kind.ON_DAY_OFF;
            String id = note.session() == null ? note.text() : note.session().toString();
            String sentence = note.session() == null
                    ? note.text() + "."
                    : "The class of " + Say.moment(note.session()) + ": " + note.text() + ".";
            found.accept(new Finding(
                    "session-" + note.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                    problem ? Severity.PROBLEM : warning ? Severity.WARNING : Severity.REMARK,
                    Check.about(in, "session", id),
                    sentence,
                    null));
        }
    }
}
