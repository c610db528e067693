package app.matsuri.server.findings;

import app.matsuri.core.findings.Finding;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Words;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A finding, and whether something mends it. */
public record FindingView(
        String code,
        String severity,
        String about,
        String id,
        String section,
        String sentence,
        @Nullable Map<String, Object> mend) {

    /** A finding as it is shown. */
    public static FindingView of(Finding finding) {
        return new FindingView(
                finding.code(),
                Words.word(finding.severity()),
                finding.about().what(),
                finding.about().id(),
                new SectionRef(finding.about().course(), finding.about().section()).toString(),
                finding.sentence(),
                Optional.ofNullable(finding.mend()).map(ChangeJson::write).orElse(null));
    }
}
