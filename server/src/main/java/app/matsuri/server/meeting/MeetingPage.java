package app.matsuri.server.meeting;

import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PublicPage;
import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Where the links of the simulated provider lead. */
@Hidden
@PublicPage
@Controller
class MeetingPage {

    @GetMapping("/meeting/{code}")
    String look(@PathVariable String code) {
        if (!code.matches(SimulatedMeetings.CODE)) {
            throw new NothingHere();
        }
        return "meeting";
    }
}
