package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.NoticeDates.Entry;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.function.Consumer;

/** Notices that end before they begin, lie outside the term, or are still hidden when they are over. */
final class NoticesAmiss implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (NoticeDates notice : in.notices()) {
            if (!notice.own(in)) {
                continue;
            }
            for (Entry entry : notice.entries()) {
                if (entry.resolved()) {
                    look(in, notice, entry, found);
                }
            }
        }
    }

    private static void look(SectionSchedule in, NoticeDates notice, Entry entry, Consumer<Finding> found) {
        LocalDateTime hidden =
                notice.hiddenUntil() == null ? null : notice.hiddenUntil().at();
        String title = "Notice “" + notice.notice().title() + "”";
        if (entry.end().isBefore(entry.beginning())) {
            found.accept(finding(
                    in,
                    notice,
                    "dates-out-of-order",
                    title + " ends on " + Say.moment(entry.end()) + ", before it begins on "
                            + Say.moment(entry.beginning()) + "."));
        } else if (!in.calendar().term().contains(entry.beginning().toLocalDate())) {
            found.accept(finding(
                    in,
                    notice,
                    "notice-outside-term",
                    title + " is on " + Say.day(entry.beginning().toLocalDate()) + ", outside the term."));
        } else if (hidden != null && hidden.isAfter(entry.end()) && !entry.allDay()) {
            found.accept(finding(
                    in,
                    notice,
                    "notice-hidden-too-long",
                    title + " is hidden until " + Say.moment(hidden) + " and over before that."));
        }
    }

    private static Finding finding(SectionSchedule in, NoticeDates notice, String code, String sentence) {
        return new Finding(
                code,
                Severity.WARNING,
                Check.about(in, "notice", notice.notice().id()),
                sentence,
                null);
    }
}
