package app.matsuri.server.comparison;

import app.matsuri.core.change.Together;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.Remarks;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.comparison.WhatIfView.ComparisonView;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.whatif.WhatIf;
import app.matsuri.server.whatif.WhatIfStep;
import app.matsuri.server.whatif.WhatIfs;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Named what-ifs of a term: made, laid beside the plan, dropped. One is taken over as a change like any other. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/what-ifs", produces = "application/json")
public class WhatIfController {

    private static final int LONGEST = 100;

    private final Access access;
    private final WhatIfs whatIfs;
    private final Moment moment;
    private final List<Remarks> remarks;

    WhatIfController(Access access, WhatIfs whatIfs, Moment moment, List<Remarks> remarks) {
        this.access = access;
        this.whatIfs = whatIfs;
        this.moment = moment;
        this.remarks = List.copyOf(remarks);
    }

    /**
     * A what-if to make.
     *
     * @param change its first change; null for none yet
     */
    record NewWhatIf(
            String name,

            @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
            JsonNode change) {}

    @GetMapping
    List<WhatIfView> all(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stands = access.stands(by, termId);
        return whatIfs.all(termId).stream().map(w -> view(stands, w)).toList();
    }

    @PostMapping(consumes = "application/json")
    @Transactional
    public WhatIfView make(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody NewWhatIf given) {
        access.change(by, termId);
        Stored stands = access.stands(by, termId);
        String name = given.name() == null ? "" : given.name().strip();
        if (name.isEmpty() || name.length() > LONGEST) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "what-if-name",
                    "A name is needed",
                    "Give the what-if a name of 1 to " + LONGEST + " characters. Nothing was stored.");
        }
        WhatIf whatIf = whatIfs.create(termId, name);
        if (given.change() != null && !given.change().isNull()) {
            Stored as = whatIfs.in(stands, whatIf);
            whatIfs.append(as, stands, moment.now(ChangeGiven.read(given.change()), as.decisions()));
        }
        return view(stands, whatIf);
    }

    @DeleteMapping("/{id}")
    @Transactional
    public List<WhatIfView> drop(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @PathVariable long id) {
        access.change(by, termId);
        whatIfs.drop(whatIfs.find(termId, id));
        return all(by, termId);
    }

    /** The plan of a section as it stands, and beside it as the what-ifs have it. */
    @GetMapping("/comparison")
    ComparisonView comparison(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam String section,
            @RequestParam List<Long> ids) {
        Stored stands = access.stands(by, termId);
        List<Stored> terms = new ArrayList<>(List.of(stands));
        ids.stream()
                .filter(Objects::nonNull)
                .limit(WhatIfs.MOST)
                .forEach(id -> terms.add(whatIfs.in(stands, whatIfs.find(termId, id))));
        return new ComparisonBuilder(terms, course, section, remarks).view();
    }

    private WhatIfView view(Stored stands, WhatIf whatIf) {
        List<WhatIfStep> steps = whatIfs.steps(whatIf);
        return new WhatIfView(
                whatIf.id,
                whatIf.name,
                steps.stream().map(s -> s.sentence).toList(),
                whatIfs.in(stands, whatIf).inWhatIf().broken(),
                steps.isEmpty()
                        ? null
                        : ChangeJson.write(new Together(
                                "Take over what-if “" + whatIf.name + "”",
                                steps.stream().map(WhatIfs::change).toList())));
    }
}
