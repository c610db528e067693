package app.matsuri.core.proposal;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Counts of what a change does, in words. */
final class Summary {

    private Summary() {}

    /** As many sections are told apart; of more only the number is said. */
    private static final int TOLD_APART = 4;

    static String of(List<Moved> moves, List<Finding> appear, List<Finding> goAway) {
        Map<String, List<Moved>> bySection = new LinkedHashMap<>();
        boolean oneCourse = moves.stream().map(Moved::course).distinct().count() == 1;
        moves.forEach(m -> bySection
                .computeIfAbsent(oneCourse ? m.section() : m.course() + " " + m.section(), s -> new ArrayList<>())
                .add(m));
        String findings = findings(appear, goAway);
        String counts = counts(moves);
        if (bySection.size() > 1 && bySection.size() <= TOLD_APART) {
            List<String> parts = new ArrayList<>();
            bySection.forEach((section, own) -> parts.add("in " + section + " " + counts(own)));
            counts = String.join("; ", parts);
        } else if (bySection.size() > TOLD_APART) {
            counts = "in " + bySection.size() + " sections " + counts;
        }
        return counts + (findings.isEmpty() ? "" : "; " + findings);
    }

    private static String counts(List<Moved> moves) {
        List<String> parts = new ArrayList<>();
        int lessons = count(moves, "lesson", true);
        int lost = count(moves, "lesson", false);
        int due = count(moves, "due", true);
        int undated = count(moves, "due", false);
        int others = count(moves, "opens", true) + count(moves, "closes", true);
        if (lessons > 0) {
            parts.add(Say.count(lessons, "lesson") + (lessons == 1 ? " moves" : " move"));
        }
        if (due > 0) {
            parts.add(Say.count(due, "due date") + (due == 1 ? " changes" : " change"));
        }
        if (others > 0) {
            parts.add(Say.count(others, "opening or closing date") + (others == 1 ? " changes" : " change"));
        }
        int notices =
                (int) moves.stream().filter(m -> m.what().equals("notice")).count();
        if (notices > 0) {
            parts.add(Say.count(notices, "notice") + (notices == 1 ? " moves" : " move"));
        }
        if (lost > 0) {
            parts.add(Say.count(lost, "lesson") + (lost == 1 ? " finds" : " find") + " no class");
        }
        if (undated > 0) {
            parts.add(Say.count(undated, "due date") + (undated == 1 ? " is" : " are") + " lost");
        }
        if (parts.isEmpty()) {
            parts.add("nothing moves");
        }
        return String.join(", ", parts);
    }

    private static String findings(List<Finding> appear, List<Finding> goAway) {
        List<String> parts = new ArrayList<>();
        if (!appear.isEmpty()) {
            parts.add(Say.count(appear.size(), "finding") + (appear.size() == 1 ? " appears" : " appear"));
        }
        if (!goAway.isEmpty()) {
            parts.add((appear.isEmpty() ? Say.count(goAway.size(), "finding") : "" + goAway.size())
                    + (goAway.size() == 1 ? " goes away" : " go away"));
        }
        return String.join(", ", parts);
    }

    private static int count(List<Moved> moves, String what, boolean placed) {
        return (int) moves.stream()
                .filter(m -> m.what().equals(what) && (m.to() != null) == placed)
                .count();
    }
}
