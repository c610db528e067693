package app.matsuri.server.link;

import app.matsuri.server.account.SignedIn;
import app.matsuri.server.account.Workspace;
import app.matsuri.server.http.Problem;
import jakarta.persistence.EntityManager;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which other pages may show the pages of a workspace's links in a frame; none to begin with. */
@RestController
@RequestMapping(path = "/api/framing", produces = "application/json")
class FramingController {

    private static final String HOST = "(https?://)?(\\*\\.)?[A-Za-z0-9-]+(\\.[A-Za-z0-9-]+)*(:\\d{1,5})?";
    private static final int MOST = 20;

    /** Letters of a host, as names in the net have, with what may stand around it. */
    private static final int LONGEST = 270;

    /** Letters of all of them together. */
    private static final int ALL = 2_000;

    private final EntityManager entities;

    FramingController(EntityManager entities) {
        this.entities = entities;
    }

    /** Hosts, such as "courses.quillmarsh.example". */
    record Framing(@NotNull List<String> hosts) {}

    @Transactional(readOnly = true)
    @GetMapping
    Framing framing(@AuthenticationPrincipal SignedIn by) {
        return said(entities.find(Workspace.class, by.workspaceId()));
    }

    private static Framing said(Workspace workspace) {
        return new Framing(Arrays.stream(workspace.framedBy.split(" "))
                .filter(host -> !host.isEmpty())
                .toList());
    }

    /** Names the hosts, in place of those that were named. */
    @Transactional
    @PutMapping(consumes = "application/json")
    public Framing frame(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody Framing form) {
        for (String host : form.hosts()) {
            if (host.length() > LONGEST
                    || !host.matches(HOST)
                    || form.hosts().size() > MOST
                    || String.join(" ", form.hosts()).length() > ALL) {
                throw new Problem(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "no-host",
                        "Not a host",
                        "“" + host.substring(0, Math.min(LONGEST, host.length()))
                                + "” is no host, or there are more than " + MOST + " or " + ALL
                                + " letters of them. Write courses.quillmarsh.example, several parted by spaces. Nothing was stored.");
            }
        }
        Workspace workspace = entities.find(Workspace.class, by.workspaceId());
        workspace.framedBy = String.join(" ", form.hosts());
        return said(workspace);
    }
}
