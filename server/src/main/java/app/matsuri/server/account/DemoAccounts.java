package app.matsuri.server.account;

import app.matsuri.server.account.AccountController.DemoSignIn;
import java.util.List;

/** The made-up people of the demo. */
public final class DemoAccounts {

    public static final String PASSWORD = "lantern-paper";

    static final List<DemoSignIn> SIGN_INS = List.of(
            new DemoSignIn("tolvanen", "I. Tolvanen", PASSWORD, "Quillmarsh College, Autumn 2026"),
            new DemoSignIn("aldous", "K. Aldous", PASSWORD, "a school, the year 2026/27"));

    private DemoAccounts() {}
}
