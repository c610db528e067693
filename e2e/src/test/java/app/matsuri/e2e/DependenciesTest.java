package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What the application is made of has no weakness of {@code docs/known-weaknesses.csv}, a list that is renewed by hand. */
class DependenciesTest {

    private static final Path BOM = Path.of("..", "server", "target", "bom.json");
    private static final Path LOCK = Path.of("..", "web", "package-lock.json");
    private static final Path WEAKNESSES = Path.of("..", "docs", "known-weaknesses.csv");

    /** A library as it is used. */
    private record Part(String ecosystem, String name, String version) {}

    private static List<Part> parts() throws IOException {
        List<Part> parts = new ArrayList<>();
        for (JsonNode part : Json.read(Files.readString(BOM)).path("components")) {
            parts.add(new Part(
                    "maven",
                    part.path("group").stringValue("") + ":" + part.path("name").stringValue(),
                    part.path("version").stringValue()));
        }
        JsonNode packages = Json.read(Files.readString(LOCK)).path("packages");
        for (String at : packages.propertyNames()) {
            if (!at.isEmpty()) { // the page itself
                String name = at.substring(at.lastIndexOf("node_modules/") + "node_modules/".length());
                parts.add(
                        new Part("npm", name, packages.path(at).path("version").stringValue("")));
            }
        }
        return parts;
    }

    private static List<String> weak(List<Part> parts, List<String> list) {
        List<String> weak = new ArrayList<>();
        for (String line : list) {
            String[] cells = line.split(",", 5);
            for (Part part : parts) {
                if (part.ecosystem().equals(cells[0])
                        && part.name().equals(cells[1])
                        && compare(part.version(), cells[2]) < 0) {
                    weak.add(part + ": " + cells[3] + ", " + cells[4]);
                }
            }
        }
        return weak;
    }

    /** By the numbers in them, from the left. */
    private static int compare(String one, String other) {
        Matcher a = Pattern.compile("\\d+").matcher(one);
        Matcher b = Pattern.compile("\\d+").matcher(other);
        while (b.find()) {
            int left = a.find() ? Integer.compare(Integer.parseInt(a.group()), Integer.parseInt(b.group())) : -1;
            if (left != 0) {
                return left;
            }
        }
        return 0;
    }

    @Test
    void nothingOfTheListIsInIt() throws IOException {
        List<Part> parts = parts();
        assertThat(parts).extracting(Part::name).contains("com.h2database:h2", "org.postgresql:postgresql", "vue");
        List<String> list = Files.readAllLines(WEAKNESSES);
        assertThat(list.get(0)).isEqualTo("ecosystem,name,below,id,what");
        assertThat(weak(parts, list.subList(1, list.size()))).isEmpty();
    }

    @Test
    void whatIsOnTheListIsFound() {
        List<Part> parts = List.of(
                new Part("maven", "a:b", "1.9.9"), new Part("maven", "a:b", "1.10"), new Part("npm", "a:b", "1"));
        assertThat(weak(parts, List.of("maven,a:b,1.10.0,X-1,it is weak")))
                .hasSize(2)
                .allMatch(w -> w.contains("X-1"));
        assertThat(weak(parts, List.of("maven,a:b,1.9.9,X-1,it is weak"))).isEmpty();
    }
}
