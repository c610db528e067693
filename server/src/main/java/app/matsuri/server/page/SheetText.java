package app.matsuri.server.page;

import app.matsuri.server.page.SectionPage.Said;
import app.matsuri.server.page.SheetPage.Lesson;
import app.matsuri.server.page.SheetPage.Row;
import app.matsuri.server.page.SheetPage.Work;
import java.util.ArrayList;
import java.util.List;

/** The sheet of a week as plain words, day by day. */
final class SheetText {

    private SheetText() {}

    static String of(SheetPage page, PageWords words, String host) {
        List<String> lines = new ArrayList<>();
        lines.add(page.headline());
        lines.add(page.about());
        for (String target : page.targets()) {
            lines.add("- " + target);
        }
        for (int d = 0; d < page.days().size(); d++) {
            List<String> day = new ArrayList<>();
            for (Row row : page.rows()) {
                String section = page.rows().size() > 1 ? row.section() + ": " : "";
                for (Lesson lesson : row.cells().get(d)) {
                    day.add("  " + section + lesson(lesson));
                    lesson.steps().forEach(s -> day.add("      " + s.minutes() + " " + s.text()));
                    if (!lesson.notes().isEmpty()) {
                        day.add("      " + lesson.notes());
                    }
                }
            }
            for (Work work : page.due().get(d)) {
                String address = work.address().startsWith("/") ? host + work.address() : work.address();
                String section = work.section().isEmpty() ? "" : work.section() + ": ";
                day.add("  " + work.mark() + " " + section + work.title() + ", " + work.what() + " " + work.time() + " "
                        + address);
            }
            if (!day.isEmpty()) {
                lines.add("");
                lines.add(page.days().get(d).words());
                lines.addAll(day);
            }
        }
        said(lines, words.say("notices"), page.notices(), host);
        said(lines, words.say("links"), page.links(), host);
        return String.join("\n", lines) + "\n";
    }

    private static String lesson(Lesson lesson) {
        List<String> parts = new ArrayList<>(List.of(lesson.when(), lesson.place()));
        parts.add((lesson.thread() == null ? "" : lesson.thread().code() + " ") + lesson.title());
        parts.add(lesson.meeting());
        parts.removeIf(String::isBlank);
        return String.join(", ", parts);
    }

    private static void said(List<String> lines, String title, List<Said> said, String host) {
        if (said.isEmpty()) {
            return;
        }
        lines.add("");
        lines.add(title);
        for (Said one : said) {
            String address = one.address().startsWith("/") ? host + one.address() : one.address();
            lines.add("  " + String.join(" ", one.words(), one.title(), address).strip());
        }
    }
}
