package app.matsuri.server;

import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.history.History;
import app.matsuri.server.mail.Letters;
import java.time.Clock;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;

/** Tests in which something that stands outside fails, or the time is another: the spies of all of them, so that they share a server. */
public abstract class SpiedTest extends DemoTest {

    @MockitoSpyBean
    protected History history;

    @MockitoSpyBean
    protected Letters letters;

    @MockitoSpyBean
    protected GradeBook book;

    @MockitoSpyBean
    protected Clock clock;
}
