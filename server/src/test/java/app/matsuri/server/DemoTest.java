package app.matsuri.server;

import app.matsuri.server.account.Accounts;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A new person before each test, with the demo's plan as their only term. */
@ServerTest
public abstract class DemoTest {

    @Autowired
    protected MockMvc mvc;

    @Autowired
    protected Accounts accounts;

    protected Browser browser;
    protected long term;

    /** Where the term is asked: "/api/terms/7". */
    protected String at;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
        at = "/api/terms/" + term;
    }
}
