package app.matsuri.server.run;

import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Link;
import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.runlist.TimedStep;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.SectionPage.Thread;
import app.matsuri.server.run.RunPage.ClassLine;
import app.matsuri.server.run.RunPage.LinkLine;
import app.matsuri.server.run.RunPage.PartLine;
import app.matsuri.server.run.RunPage.StepLine;
import app.matsuri.server.run.RunPage.WorkLine;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Puts classes into words. */
final class RunPages {

    private final PageWords words;
    private final LocalDateTime now;

    RunPages(PageWords words, LocalDateTime now) {
        this.words = words;
        this.now = now;
    }

    /**
     * A class in words.
     *
     * @param threads of its course's units, by their ids
     * @param file where a file is had; an empty address for one that is only named
     */
    ClassLine line(RunClass of, Map<String, Thread> threads, Function<FileUse, String> file) {
        List<PartLine> parts = of.parts().stream()
                .map(part -> part(part, threads.get(part.unit()), file))
                .toList();
        return new ClassLine(
                words.say("span", words.time(of.start()), words.end(of.start(), of.end())),
                of.section().course() + " " + of.title() + ", " + of.section().section(),
                of.place(),
                of.link(),
                of.students() == 0 ? "" : words.say("run.students", of.students()),
                of.runs(now) ? left(of.end()) : null,
                parts,
                of.work().stream().map(this::work).toList(),
                of.notices().stream().map(RunPages::notice).toList(),
                of.words());
    }

    private String left(LocalDateTime end) {
        return words.say("run.left", Duration.between(now, end).toMinutes());
    }

    private PartLine part(RunClass.Part part, @Nullable Thread thread, Function<FileUse, String> file) {
        List<LinkLine> links = new ArrayList<>();
        for (Link link : part.links()) {
            links.add(new LinkLine(link.title().isBlank() ? link.url() : link.title(), link.url()));
        }
        part.files().forEach(use -> links.add(new LinkLine(use.name(), file.apply(use))));
        return new PartLine(
                thread == null ? "" : thread.look(),
                part.unitCode(),
                part.lesson(),
                part.of() > 1 ? words.say("class.part", part.part(), part.of()) : "",
                part.steps().stream().map(this::step).toList(),
                links,
                part.notes());
    }

    private StepLine step(TimedStep step) {
        return new StepLine(
                words.time(step.start()),
                words.say("run.minutes", step.minutes()),
                step.text(),
                step.runs(now) ? left(step.end()) : null);
    }

    private WorkLine work(RunClass.Work work) {
        String at = words.time(work.at());
        String when = switch (work.which()) {
            case OPENS -> words.say("run.opens", at);
            case DUE -> words.say("run.due", at);
            case CLOSES -> words.say("run.closes", at);
        };
        String how = work.handIn().isEmpty() ? "" : words.say("hand.in", words.say("hand.in." + work.handIn()));
        String where = work.handInPlace();
        String tail = (how.isEmpty() ? "" : "; " + how) + (where.isEmpty() ? "" : "; " + where);
        return new WorkLine(work.title(), when + tail);
    }

    private static String notice(RunClass.Notice notice) {
        String text = notice.text().isBlank() ? notice.title() : notice.title() + ": " + notice.text();
        return notice.place().isBlank() ? text : text + " (" + notice.place() + ")";
    }
}
