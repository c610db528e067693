package app.matsuri.server.meeting;

import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Gives out links to meetings, one a series. */
@RestController
class MeetingController {

    private final Access access;
    private final Meetings meetings;

    MeetingController(Access access, Meetings meetings) {
        this.access = access;
        this.meetings = meetings;
    }

    /** A link to a meeting. */
    record MeetingLink(String link) {}

    @PostMapping(path = "/api/terms/{termId}/meeting-links", produces = "application/json")
    MeetingLink link(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        access.change(by, termId);
        return new MeetingLink(meetings.link());
    }
}
