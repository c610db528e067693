package app.matsuri.server.findings;

import app.matsuri.core.findings.Finding;
import app.matsuri.server.storage.Stored;
import java.util.List;

/** What is found of a term that does not follow from its plan alone: of files that are kept, of what is booked. */
public interface BesidePlan {

    List<Finding> findings(Stored stored);
}
