package app.matsuri.server.run;

import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.run.OwnClasses.Own;
import java.time.Duration;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** One's own reminder before the next class, while Matsuri is open. */
@RestController
class NextClassController {

    private final OwnClasses own;
    private final Accounts accounts;

    NextClassController(OwnClasses own, Accounts accounts) {
        this.own = own;
        this.accounts = accounts;
    }

    /**
     * A class that begins within the minutes that the person set.
     *
     * @param start null, as the sentence then is empty, for none
     * @param termId whose Week view has the run list
     */
    record NextClass(
            @Nullable LocalDateTime start,
            String sentence,
            @Nullable Long termId) {}

    @GetMapping(path = "/api/me/next-class", produces = "application/json")
    NextClass next(@AuthenticationPrincipal SignedIn by) {
        Integer minutes = accounts.preferences(by).classReminder();
        if (minutes == null) {
            return new NextClass(null, "", null);
        }
        return own.today(by).stream()
                .filter(c -> soon(c, minutes))
                .findFirst()
                .map(c -> new NextClass(c.of().start(), sentence(c), c.stored().termId()))
                .orElse(new NextClass(null, "", null));
    }

    private static boolean soon(Own of, int minutes) {
        Duration left = Duration.between(of.now(), of.of().start());
        return !left.isNegative() && left.toMinutes() <= minutes;
    }

    private static String sentence(Own of) {
        long left = Duration.between(of.now(), of.of().start()).toMinutes();
        String when = left == 0 ? "now" : left == 1 ? "in 1 minute" : "in " + left + " minutes";
        String place = of.of().place().isEmpty() ? "" : ", " + of.of().place();
        return of.of().section().course() + " " + of.of().section().section() + " " + when + place;
    }
}
