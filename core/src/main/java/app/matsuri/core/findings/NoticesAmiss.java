package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.NoticeDates.Entry;
import app.matsuri.core.schedule.SectionSchedule;
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
        String title = "Notice “" + notice.notice().title() + "”";
        if (entry.ends().isBefore(entry.begins())) {
            found.accept(finding(
                    in,
                    notice,
                    "dates-out-of-order",
                    title + " ends on " + Say.moment(entry.ends()) + ", before it begins on "
                            + Say.moment(entry.begins()) + "."));
        } else if (!in.calendar().term().contains(entry.begins().toLocalDate())) {
            found.accept(finding(
                    in,
                    notice,
                    "notice-outside-term",
                    title + " is on " + Say.day(entry.begins().toLocalDate()) + ", outside the term."));
        } else if (notice.hiddenUntil() != null
                && notice.hiddenUntil().resolved()
                && notice.hiddenUntil().at().isAfter(entry.ends())
                && !entry.allDay()) {
            found.accept(finding(
                    in,
                    notice,
                    "notice-hidden-too-long",
                    title + " is hidden until "
                            + Say.moment(notice.hiddenUntil().at()) + " and over before that."));
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
