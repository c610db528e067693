package app.matsuri.server.page;

import app.matsuri.server.files.StoredFiles;
import app.matsuri.server.link.PublicLink;
import java.util.Optional;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;

/** The page of a kind of link that shows something else than what sections were told. */
public interface LinkPage {

    /** What was asked for: the host, what the address ends with, and what stands behind it. */
    record Asked(String host, String token, MultiValueMap<String, String> query) {}

    /** Of which links. */
    PublicLink.Kind kind();

    /**
     * Fills the model.
     *
     * @return the template's name
     * @throws NothingHere when the link shows nothing of that
     */
    String page(PublicLink link, Asked asked, Model model);

    /** A file that the link lets go; empty for none. */
    default Optional<StoredFiles.Content> file(PublicLink link, String file) {
        return Optional.empty();
    }
}
