package app.matsuri.server.page;

import app.matsuri.server.clock.Today;
import app.matsuri.server.link.Links.Taken;
import app.matsuri.server.link.PublicLink;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** When a place is taken. */
@Component
class PlaceLinkPage implements LinkPage {

    private final Seeing seeing;
    private final Today today;

    PlaceLinkPage(Seeing seeing, Today today) {
        this.seeing = seeing;
        this.today = today;
    }

    @Override
    public PublicLink.Kind kind() {
        return PublicLink.Kind.PLACE;
    }

    @Override
    public String page(PublicLink link, Asked asked, Model model) {
        List<Taken> taken = seeing.taken(link);
        ZoneId zone = taken.isEmpty() ? ZoneOffset.UTC : taken.get(0).zone();
        String name = link.place == null ? "" : link.place;
        PageLocale.set(Locale.ENGLISH);
        model.addAttribute("page", PlacePage.of(name, taken, seeing.words(Locale.ENGLISH), today.in(zone)));
        model.addAttribute("take", TakePage.Addresses.of(asked.host(), Seeing.base(asked.token()), ""));
        return "place";
    }
}
