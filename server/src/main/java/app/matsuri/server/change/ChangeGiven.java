package app.matsuri.server.change;

import app.matsuri.core.change.Change;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.http.Problem;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.JsonNode;

/** A change as a request gives it. */
public final class ChangeGiven {

    private ChangeGiven() {}

    /**
     * Reads it.
     *
     * @throws Problem when it is at fault, with every fault
     */
    public static Change read(JsonNode json) {
        ChangeJson.Reading reading = ChangeJson.read(json);
        if (reading.change() == null) {
            String detail = String.join(
                    " ", reading.faults().stream().map(f -> f.message()).toList());
            throw new Problem(
                    HttpStatus.BAD_REQUEST, "change-at-fault", "Something is not right", detail, reading.faults());
        }
        return reading.change();
    }
}
