package app.matsuri.server.disk;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.api.ResourceProvider;
import org.flywaydb.core.api.resource.LoadableResource;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The scripts of the schema as PostgreSQL takes them: two types have other names there, all else is the same. */
final class Scripts implements ResourceProvider {

    private static final String FOLDER = "db/migration/";

    /** What a type is called in the scripts, and there. */
    private static final Map<String, String> TYPES =
            Map.of("character large object", "text", "binary large object", "bytea");

    @Override
    public @Nullable LoadableResource getResource(String name) {
        return all().stream()
                .filter(script -> script.getAbsolutePath().equals(name))
                .findFirst()
                .orElse(null);
    }

    @Override
    public Collection<LoadableResource> getResources(String prefix, String[] suffixes) {
        return all().stream()
                .filter(script -> script.getFilename().startsWith(prefix))
                .filter(script -> List.of(suffixes).stream().anyMatch(script.getFilename()::endsWith))
                .toList();
    }

    private static List<LoadableResource> all() {
        try {
            List<LoadableResource> all = new ArrayList<>();
            for (Resource file :
                    new PathMatchingResourcePatternResolver().getResources("classpath:" + FOLDER + "*.sql")) {
                String text = file.getContentAsString(StandardCharsets.UTF_8);
                for (Map.Entry<String, String> type : TYPES.entrySet()) {
                    text = text.replace(type.getKey(), type.getValue());
                }
                all.add(new Script(String.valueOf(file.getFilename()), text));
            }
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final class Script extends LoadableResource {

        private final String name;
        private final String text;

        Script(String name, String text) {
            this.name = name;
            this.text = text;
        }

        @Override
        public Reader read() {
            return new StringReader(text);
        }

        @Override
        public String getAbsolutePath() {
            return FOLDER + name;
        }

        @Override
        public String getAbsolutePathOnDisk() {
            return FOLDER + name;
        }

        @Override
        public String getFilename() {
            return name;
        }

        @Override
        public String getRelativePath() {
            return name;
        }
    }
}
