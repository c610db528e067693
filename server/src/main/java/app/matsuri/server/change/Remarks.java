package app.matsuri.server.change;

import app.matsuri.core.plan.Decisions;
import app.matsuri.server.storage.Stored;
import java.util.List;

/** What a change would do beside the plan, said with its proposal. */
public interface Remarks {

    /** A sentence each; none where it does nothing there. */
    List<String> of(Stored stored, Decisions after);
}
