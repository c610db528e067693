package app.matsuri.server.run;

import app.matsuri.server.account.SignedIn;
import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.PublicPage;
import app.matsuri.server.page.SectionPages;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.run.OwnClasses.Own;
import app.matsuri.server.run.RunPage.ClassLine;
import io.swagger.v3.oas.annotations.Hidden;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All classes of whoever is signed in on a day, in order of time, over all their courses. */
@Hidden
@PublicPage
@Controller
class RunController {

    private final OwnClasses own;
    private final Seeing seeing;

    RunController(OwnClasses own, Seeing seeing) {
        this.own = own;
        this.seeing = seeing;
    }

    @GetMapping("/preview/day")
    String day(@AuthenticationPrincipal @Nullable SignedIn by, @RequestParam LocalDate day, Model model) {
        if (by == null) {
            throw new NothingHere();
        }
        List<Own> classes = own.on(by, day);
        PageWords words = classes.isEmpty() ? seeing.words(Locale.ENGLISH) : words(classes.get(0));
        seeing.speak(words);
        model.addAttribute(
                "page",
                new RunPage(
                        words.language(),
                        words.longDay(day),
                        List.of(),
                        classes.stream().anyMatch(c -> c.now().toLocalDate().equals(day)),
                        classes.stream().map(this::line).toList()));
        return "run";
    }

    private PageWords words(Own of) {
        return seeing.words(of.in().course().besides().publishing());
    }

    private ClassLine line(Own of) {
        String files = "/api/terms/" + of.stored().termId() + "/files/";
        return new RunPages(words(of), of.now())
                .line(of.of(), SectionPages.threads(of.in().course()), use -> files + use.file());
    }
}
