package app.matsuri.server.reminder;

import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PublicPage;
import app.matsuri.server.reminder.Refusals.Reader;
import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * Where a reader says that no more reminders shall come, and that they shall again. Looking changes nothing, so that a mail program that
 * opens every address does not; one press does, here or in the mail program (RFC 8058).
 */
@Hidden
@PublicPage
@Controller
@RequestMapping("/reminders/{token}")
class StopController {

    private final Refusals refusals;

    StopController(Refusals refusals) {
        this.refusals = refusals;
    }

    @GetMapping
    String look(@PathVariable String token, Model model) {
        return page(reader(token), token, model);
    }

    @PostMapping
    String stop(@PathVariable String token, @RequestParam(defaultValue = "false") boolean again, Model model) {
        Reader reader = reader(token);
        refusals.set(reader, !again);
        return page(reader, token, model);
    }

    private String page(Reader reader, String token, Model model) {
        model.addAttribute("mail", reader.mail());
        model.addAttribute("none", refusals.of(reader.workspaceId()).contains(reader.mail()));
        model.addAttribute("here", "/reminders/" + token);
        return "stop";
    }

    private Reader reader(String token) {
        return refusals.reader(token).orElseThrow(NothingHere::new);
    }
}
