package app.matsuri.server.meeting;

import app.matsuri.server.mail.Letters;
import app.matsuri.server.settings.Tokens;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** A provider that is simulated: its links lead to a page of this server that says so. */
@Component
class SimulatedMeetings implements Meetings {

    /** What a link ends with. */
    static final String CODE = "[a-z0-9]{12}";

    private final Letters letters;

    SimulatedMeetings(Letters letters) {
        this.letters = letters;
    }

    @Override
    public String link() {
        String code = Tokens.fresh().replaceAll("[^A-Za-z0-9]", "").toLowerCase(Locale.ROOT);
        return letters.address() + "/meeting/" + code.substring(0, 12);
    }
}
