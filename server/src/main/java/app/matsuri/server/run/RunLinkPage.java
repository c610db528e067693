package app.matsuri.server.run;

import app.matsuri.core.plan.FileUse;
import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.clock.Today;
import app.matsuri.server.files.StoredFiles;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.page.LinkPage;
import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Readers;
import app.matsuri.server.page.SectionPages;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.run.RunPage.ClassLine;
import app.matsuri.server.run.RunPage.DayLink;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The classes of some days for whoever takes them, without an account: as they are planned, and nobody's name. */
@Component
class RunLinkPage implements LinkPage {

    private final Links links;
    private final Readers readers;
    private final Seeing seeing;
    private final StoredFiles files;
    private final Today today;

    RunLinkPage(Links links, Readers readers, Seeing seeing, StoredFiles files, Today today) {
        this.links = links;
        this.readers = readers;
        this.seeing = seeing;
        this.files = files;
        this.today = today;
    }

    @Override
    public PublicLink.Kind kind() {
        return PublicLink.Kind.RUN;
    }

    /** A class with its section. */
    private record In(SectionSchedule in, RunClass of) {}

    @Override
    public String page(PublicLink link, Asked asked, Model model) {
        Stored stored = links.term(link).orElseThrow(NothingHere::new);
        LocalDateTime now = today.now(stored.decisions().term().zone());
        List<LocalDate> days =
                days(link).filter(d -> !classes(stored, link, d).isEmpty()).toList();
        LocalDate day = day(asked, link, days, now.toLocalDate());
        List<In> classes = classes(stored, link, day);
        PageWords words = classes.isEmpty()
                ? seeing.words(Locale.ENGLISH)
                : seeing.words(classes.get(0).in().course().besides().publishing());
        seeing.speak(words);
        String base = Seeing.base(asked.token());
        RunPages pages = new RunPages(words, now);
        List<ClassLine> lines = classes.stream()
                .map(c -> pages.line(
                        c.of(),
                        SectionPages.threads(c.in().course()),
                        use -> use.publish() ? base + "/files/" + use.file() : ""))
                .toList();
        model.addAttribute(
                "page",
                new RunPage(
                        words.language(),
                        words.longDay(day),
                        days.stream()
                                .map(d -> new DayLink(words.day(d), base + "?day=" + d, d.equals(day)))
                                .toList(),
                        day.equals(now.toLocalDate()),
                        lines));
        return "run";
    }

    private static Stream<LocalDate> days(PublicLink link) {
        LocalDate first = link.firstDay;
        LocalDate last = link.lastDay;
        return first == null || last == null ? Stream.empty() : first.datesUntil(last.plusDays(1));
    }

    /** The day that is asked for; today where that is one of them, else the next. */
    private static LocalDate day(Asked asked, PublicLink link, List<LocalDate> days, LocalDate today) {
        String day = asked.query().getFirst("day");
        if (day == null) {
            return days.stream()
                    .filter(d -> !d.isBefore(today))
                    .findFirst()
                    .or(() -> days.stream().reduce((a, b) -> b))
                    .or(() -> days(link).findFirst())
                    .orElseThrow(NothingHere::new);
        }
        try {
            LocalDate date = LocalDate.parse(day);
            return days(link).filter(date::equals).findFirst().orElseThrow(NothingHere::new);
        } catch (DateTimeParseException e) {
            throw new NothingHere(e);
        }
    }

    private List<In> classes(Stored stored, PublicLink link, LocalDate day) {
        return readers.schedule(stored).sections().stream()
                .filter(in -> link.course == null || in.course().code().equals(link.course))
                .filter(in -> link.section == null || in.section().code().equals(link.section))
                .flatMap(in -> RunClass.of(in, day).stream().map(of -> new In(in, of)))
                .sorted(Comparator.comparing((In one) -> one.of().start()))
                .toList();
    }

    @Override
    public Optional<StoredFiles.Content> file(PublicLink link, String file) {
        return links.term(link)
                .filter(stored -> days(link)
                        .flatMap(day -> classes(stored, link, day).stream())
                        .flatMap(in -> in.of().parts().stream())
                        .flatMap(part -> part.files().stream())
                        .filter(FileUse::publish)
                        .anyMatch(use -> use.file().equals(file)))
                .flatMap(stored -> files.kept(stored.termId(), file));
    }
}
