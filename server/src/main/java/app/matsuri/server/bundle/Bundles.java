package app.matsuri.server.bundle;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.bundle.Bundle;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.files.StoredFiles;
import app.matsuri.server.history.History;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Terms with all that belongs to them, as one file, out and in. */
@Component
public class Bundles {

    private final ChangeService changes;
    private final StoredFiles files;
    private final History history;

    Bundles(ChangeService changes, StoredFiles files, History history) {
        this.changes = changes;
        this.files = files;
        this.history = history;
    }

    /** A term that was opened, with what is worth knowing about its file. */
    public record Opened(long termId, List<Fault> faults) {}

    /**
     * Writes a term.
     *
     * @param withHistory whether its history goes with it
     */
    @Transactional(readOnly = true)
    public void write(Stored stored, boolean withHistory, OutputStream out) throws IOException {
        Map<String, String> attached = new LinkedHashMap<>();
        for (StoredFiles.Use use : StoredFiles.uses(stored.decisions())) {
            if (files.content(stored.termId(), use.file().file()) != null) {
                attached.putIfAbsent(use.file().file(), use.file().name());
            }
        }
        Bundle.write(
                PlanFile.write(stored.decisions()),
                attached,
                file -> files.content(stored.termId(), file),
                withHistory ? history.json(stored.termId()) : null,
                out);
    }

    /**
     * Makes a term from a bundle: its plan, its files, and its history where it has one.
     *
     * @throws Problem when the plan file in it cannot be opened
     * @throws app.matsuri.exchange.file.Unreadable when it is no bundle, or a hostile one
     */
    @Transactional(rollbackFor = IOException.class)
    public Opened open(SignedIn by, Path file) throws IOException {
        try (Bundle bundle = Bundle.open(file)) {
            PlanFile.Reading reading = read(bundle.plan());
            Stored stored = changes.begin(by, Known.there(reading.decisions(), "a plan file that was read"));
            for (Map.Entry<String, String> attached : bundle.files().entrySet()) {
                files.bring(stored.termId(), attached.getValue(), bundle.file(attached.getKey()));
            }
            List<Fault> faults = new ArrayList<>(reading.faults());
            faults.addAll(lacking(stored.termId(), Known.there(reading.decisions(), "a plan file that was read")));
            String kept = bundle.history().orElse(null);
            if (kept != null && !history.bring(stored, by, kept)) {
                faults.add(new Fault(
                        Fault.Severity.REMARK,
                        "",
                        0,
                        "The bundle's history does not lead to its plan, and stayed out."));
            }
            return new Opened(stored.termId(), faults);
        }
    }

    /**
     * Reads a plan file that is to become a term.
     *
     * @throws Problem when it cannot be opened, with every fault
     */
    public static PlanFile.Reading read(byte[] file) {
        PlanFile.Reading reading = PlanFile.read(file);
        if (reading.decisions() == null) {
            long wrong = reading.faults().stream()
                    .filter(f -> f.severity() != Fault.Severity.REMARK)
                    .count();
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "plan-file-at-fault",
                    "The plan file cannot be opened",
                    wrong == 1
                            ? reading.faults().get(0).message()
                            : "It has " + wrong + " faults; each is listed with its place. Nothing was stored.",
                    reading.faults());
        }
        return reading;
    }

    /** A remark for each attached file that the term lacks. */
    public List<Fault> lacking(long termId, Decisions decisions) {
        return files.missing(termId, decisions).stream()
                .map(use -> new Fault(
                        Fault.Severity.REMARK,
                        "",
                        0,
                        "“" + use.file().name() + "”, attached to “" + use.title()
                                + "”, is not with it: attach it again, or open a bundle, which has the files too."))
                .toList();
    }
}
