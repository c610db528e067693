package app.matsuri.server.findings;

import app.matsuri.core.findings.Findings;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.wall.WallBuilder;
import app.matsuri.server.wall.WallView.FindingView;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** All findings of a term, across its courses. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class FindingsController {

    private final Access access;

    FindingsController(Access access) {
        this.access = access;
    }

    @GetMapping("/findings")
    List<FindingView> findings(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return Findings.of(Schedule.of(access.look(by, termId).decisions())).stream()
                .map(WallBuilder::view)
                .toList();
    }
}
