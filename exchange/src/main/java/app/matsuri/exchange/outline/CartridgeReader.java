package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Unit;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.file.Unzipped;
import app.matsuri.exchange.words.KindWords;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/**
 * Reads the outline of a Common Cartridge (1EdTech, versions 1.1 to 1.4): order and titles from {@code
 * imsmanifest.xml}, links from its web links. What lies in the first level becomes units, what lies in them things
 * within things, without dates.
 */
public final class CartridgeReader {

    private static final int MOST_ITEMS = 5_000;
    private static final int MOST_DEPTH = 30;

    private final Unzipped zip;
    private final Map<String, Element> resources = new HashMap<>();
    private final List<OutlineReader.Line> lines = new ArrayList<>();
    private final Set<String> taken = new HashSet<>();
    private final Map<Element, List<Link>> links = new HashMap<>();
    private final Map<String, Integer> numbers = new HashMap<>();
    private int items;

    private CartridgeReader(Unzipped zip, Course into) {
        this.zip = zip;
        into.items().forEach(i -> taken.add(i.id()));
    }

    /**
     * Reads a cartridge as units to be added to a course.
     *
     * @throws Unreadable when it has no manifest or cannot be read
     */
    public static OutlineReader.Reading read(Given file, Course into) {
        Unzipped zip = Unzipped.of(file, "cartridge");
        byte[] manifest = zip.part("imsmanifest.xml")
                .orElseThrow(() -> new Unreadable(
                        "“" + file.name() + "” has no imsmanifest.xml: it is no Common Cartridge. Export it as one."));
        CartridgeReader reader = new CartridgeReader(zip, into);
        Element root = parse(manifest, file.name()).getDocumentElement();
        for (Element group : all(root, "resources")) {
            all(group, "resource").forEach(r -> reader.resources.put(r.getAttribute("identifier"), r));
        }
        List<Unit> units = new ArrayList<>();
        Course now = into;
        for (Element organizations : all(root, "organizations")) {
            for (Element organization : all(organizations, "organization")) {
                List<Element> top = all(organization, "item");
                // cartridges wrap everything in one item without a title
                if (top.size() == 1 && title(top.get(0)).isEmpty()) {
                    top = all(top.get(0), "item");
                }
                for (Element item : top) {
                    Unit unit = reader.unit(item, now, file.name());
                    units.add(unit);
                    List<Unit> more = new ArrayList<>(now.units());
                    more.add(unit);
                    now = now.withUnits(more);
                }
            }
        }
        if (units.isEmpty()) {
            throw new Unreadable("“" + file.name() + "” has no outline in its manifest.");
        }
        int items = units.stream().mapToInt(u -> u.items().size()).sum();
        return new OutlineReader.Reading(reader.lines, List.of(), units, units.size(), 0, items, 0, List.of(), null);
    }

    private Unit unit(Element element, Course into, String name) {
        String title = title(element).isEmpty() ? "Unit " + (into.units().size() + 1) : title(element);
        Unit unit = OutlineReader.unitLine(title, into);
        lines.add(new OutlineReader.Line(
                lines.size() + 1, title, "unit", "unit " + unit.code() + " " + title, "", false));
        List<Item> found = new ArrayList<>();
        if (all(element, "item").isEmpty()
                && !element.getAttribute("identifierref").isEmpty()) {
            found.add(item(element, unit, null, 1, name));
        }
        inside(element, unit, null, 1, found, name);
        return unit.withItems(found);
    }

    private void inside(Element element, Unit unit, @Nullable String within, int depth, List<Item> found, String name) {
        if (depth > MOST_DEPTH) {
            throw new Unreadable(
                    "“" + name + "” has things within things, more than " + MOST_DEPTH + " deep. Export it flatter.");
        }
        for (Element child : all(element, "item")) {
            TimeLimit.look();
            if (++items > MOST_ITEMS) {
                throw new Unreadable("“" + name + "” has more than " + MOST_ITEMS + " things. Export a part of it.");
            }
            Item item = item(child, unit, within, depth, name);
            found.add(item);
            inside(child, unit, item.id(), depth + 1, found, name);
        }
    }

    private Item item(Element element, Unit unit, @Nullable String within, int depth, String name) {
        String title = title(element).isEmpty() ? "untitled" : title(element);
        Element resource = resources.get(element.getAttribute("identifierref"));
        String type = resource == null ? "" : resource.getAttribute("type").toLowerCase(Locale.ROOT);
        List<Link> links = type.startsWith("imswl")
                ? this.links.computeIfAbsent(resource, of -> link(of, name)).stream()
                        .map(link -> new Link(title, link.url()))
                        .toList()
                : List.of();
        String kind = type.startsWith("imswl")
                ? "reading"
                : type.startsWith("imsqti")
                        ? "quiz"
                        : type.startsWith("imsdt") ? "discussion" : KindWords.ofTitle(title);
        String id;
        do {
            id = unit.code().toLowerCase(Locale.ROOT) + "-" + numbers.merge(unit.code(), 1, Integer::sum);
        } while (!taken.add(id));
        lines.add(new OutlineReader.Line(
                lines.size() + 1,
                "  ".repeat(depth) + title,
                "work",
                kind + ", no date yet"
                        + (links.isEmpty() ? "" : ", " + links.get(0).url()),
                "",
                false));
        ItemDetails details = new ItemDetails(
                within, "", "", "", links, List.of(), List.of(), ItemDetails.ALL, List.of(), false, false);
        return Item.of(id, null, kind, title, null).withDetails(details);
    }

    private List<Link> link(@Nullable Element resource, String name) {
        for (Element file : all(resource, "file")) {
            byte[] content = zip.part(file.getAttribute("href")).orElse(null);
            if (content == null) {
                continue;
            }
            for (Element url : all(parse(content, name).getDocumentElement(), "url")) {
                String href = url.getAttribute("href");
                if (href.matches("(?i)https?://\\S+")) {
                    return List.of(new Link("", href));
                }
            }
        }
        return List.of();
    }

    private static String title(Element element) {
        return all(element, "title").stream()
                .findFirst()
                .map(t -> t.getTextContent().strip())
                .orElse("");
    }

    /** The children of that local name, whatever their namespace. */
    private static List<Element> all(@Nullable Element in, String name) {
        List<Element> found = new ArrayList<>();
        for (Node child = in == null ? null : in.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child instanceof Element element
                    && name.equals(element.getLocalName() == null ? element.getTagName() : element.getLocalName())) {
                found.add(element);
            }
        }
        return found;
    }

    private static Document parse(byte[] content, String name) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setXIncludeAware(false);
            factory.setExpandEntityReferences(false);
            factory.setNamespaceAware(true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new ByteArrayInputStream(content));
        } catch (SAXException | IOException e) {
            throw new Unreadable("“" + name + "” has a manifest that is no XML. Export it again.", e);
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException(e);
        }
    }
}
