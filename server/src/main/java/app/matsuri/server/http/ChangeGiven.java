package app.matsuri.server.http;

import app.matsuri.core.change.Change;
import app.matsuri.exchange.change.ChangeJson;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.JsonNode;

/**
 * A change as a request gives it.
 *
 * @param held whether earlier classes without a record count as held as planned, where it is a repair
 */
public record ChangeGiven(Change change, boolean held) {

    /**
     * Reads it.
     *
     * @throws Problem when it is at fault, with every fault
     */
    public static ChangeGiven read(JsonNode json) {
        ChangeJson.Reading reading = ChangeJson.read(json);
        if (reading.change() == null) {
            String detail = String.join(
                    " ", reading.faults().stream().map(f -> f.message()).toList());
            throw new Problem(
                    HttpStatus.BAD_REQUEST, "change-at-fault", "Something is not right", detail, reading.faults());
        }
        return new ChangeGiven(reading.change(), reading.held());
    }
}
