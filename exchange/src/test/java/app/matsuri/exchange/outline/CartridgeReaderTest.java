package app.matsuri.exchange.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Unit;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

/**
 * Common Cartridges: order, titles and web links. The manifest is written by hand after the 1EdTech Common Cartridge
 * Profile 1.3, sections 3 and 4 (organization of the kind "rooted-hierarchy", resource types imswl and imsqti), from
 * memory.
 */
class CartridgeReaderTest {

    private static final Course NONE = Course.of("C", "C", 50, List.of(), List.of());
    private static final String MANIFEST = """
            <?xml version="1.0" encoding="UTF-8"?>
            <manifest identifier="m" xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1">
              <organizations><organization identifier="o" structure="rooted-hierarchy"><item identifier="root">
                <item identifier="a"><title>Water on the move</title>
                  <item identifier="a1"><title>Week one</title>
                    <item identifier="a11" identifierref="r1"><title>Gauge map</title></item>
                    <item identifier="a12" identifierref="r2"><title>Check yourself</title></item>
                  </item>
                  <item identifier="a2" identifierref="r3"><title>Problem set 1</title></item>
                </item>
                <item identifier="b"><title>Gauging</title></item>
              </item></organization></organizations>
              <resources>
                <resource identifier="r1" type="imswl_xmlv1p3"><file href="links/map.xml"/></resource>
                <resource identifier="r2" type="imsqti_xmlv1p2/imscc_xmlv1p3/assessment"><file href="q.xml"/></resource>
                <resource identifier="r3" type="webcontent" href="set1.html"><file href="set1.html"/></resource>
              </resources>
            </manifest>
            """;
    private static final String LINK = """
            <webLink xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imswl_v1p3"><title>Map</title>
              <url href="https://maps.example/gauges" target="_blank"/></webLink>
            """;

    private static Given zip(Map<String, String> parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        return new Given("course.imscc", out.toByteArray());
    }

    private static OutlineReader.Reading read(Given file, Course into) {
        return CartridgeReader.read(file, into);
    }

    @Test
    void orderTitlesNestingAndLinksComeAlong() {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("imsmanifest.xml", MANIFEST);
        parts.put("links/map.xml", LINK);
        List<Unit> units = read(zip(parts), NONE).units();
        assertThat(units).extracting(Unit::title).containsExactly("Water on the move", "Gauging");
        assertThat(units.get(0).items())
                .extracting(Item::title, Item::kind, i -> units.get(0).around(i).size())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Week one", "other", 0),
                        org.assertj.core.groups.Tuple.tuple("Gauge map", "reading", 1),
                        org.assertj.core.groups.Tuple.tuple("Check yourself", "quiz", 1),
                        org.assertj.core.groups.Tuple.tuple("Problem set 1", "homework", 0));
        assertThat(units.get(0).items().get(1).details().links())
                .containsExactly(new Link("Gauge map", "https://maps.example/gauges"));
    }

    @Test
    void itJoinsACourseUnderIdsOfItsOwn() {
        Course first = NONE.withUnits(
                read(zip(Map.of("imsmanifest.xml", MANIFEST)), NONE).units());
        List<Unit> again = read(zip(Map.of("imsmanifest.xml", MANIFEST)), first).units();
        assertThat(again)
                .extracting(Unit::id)
                .doesNotContainAnyElementsOf(
                        first.units().stream().map(Unit::id).toList());
        assertThat(again.get(0).items())
                .extracting(Item::id)
                .doesNotContainAnyElementsOf(
                        first.items().stream().map(Item::id).toList());
    }

    @Test
    void whatIsNoCartridgeOrHostileIsRefusedWithASentence() {
        assertThatThrownBy(() -> read(zip(Map.of("readme.txt", "x")), NONE))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("imsmanifest.xml");
        String entity =
                "<?xml version=\"1.0\"?><!DOCTYPE m [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><manifest>&x;</manifest>";
        assertThatThrownBy(() -> read(zip(Map.of("imsmanifest.xml", entity)), NONE))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("document type");
        assertThatThrownBy(() -> read(zip(Map.of("../imsmanifest.xml", MANIFEST)), NONE))
                .isInstanceOf(Unreadable.class);
        assertThatThrownBy(() -> read(zip(Map.of("imsmanifest.xml", "<manifest><organizations>")), NONE))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("no XML");
        assertThatThrownBy(() -> read(zip(Map.of("imsmanifest.xml", "a".repeat(61_000_000))), NONE))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("60 MB");
    }
}
