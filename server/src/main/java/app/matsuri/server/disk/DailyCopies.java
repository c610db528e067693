package app.matsuri.server.disk;

import app.matsuri.server.settings.MatsuriProperties;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** A copy of the data a day, beside them, and the last few kept. */
@Component
class DailyCopies {

    private static final Logger LOG = LoggerFactory.getLogger(DailyCopies.class);

    /** Where they lie in the data folder. */
    static final String FOLDER = "copies";

    private static final String NAMES = "matsuri-\\d{4}-\\d{2}-\\d{2}\\.zip";

    private final DataSource connections;
    private final Room room;
    private final Clock clock;
    private final Path folder;
    private final int kept;

    DailyCopies(DataSource connections, Room room, Clock clock, MatsuriProperties settings) {
        this.connections = connections;
        this.room = room;
        this.clock = clock;
        this.folder = Path.of(settings.data()).toAbsolutePath();
        this.kept = settings.demo() != null ? 0 : settings.keepCopies();
    }

    /** Makes the one of today where there is none yet. */
    @Scheduled(initialDelayString = "PT10M", fixedDelayString = "PT1H")
    void today() {
        if (kept == 0 || !room.database() || !Files.exists(folder.resolve(DataFolder.DATABASE)) || !room.enough()) {
            return;
        }
        Path copies = folder.resolve(FOLDER);
        Path today = copies.resolve("matsuri-" + LocalDate.now(clock) + ".zip");
        if (Files.exists(today)) {
            return;
        }
        try {
            Files.createDirectories(copies);
            Copies.write(connections, folder, today);
            LOG.info("copied to {}", today);
            forget(copies);
        } catch (IOException | Copies.NoCopy e) {
            LOG.error("no copy of today: {}", e.getMessage());
        }
    }

    private void forget(Path copies) throws IOException {
        List<Path> all;
        try (Stream<Path> files = Files.list(copies)) {
            all = files.filter(file -> file.getFileName().toString().matches(NAMES))
                    .sorted(Comparator.comparing(Path::getFileName).reversed())
                    .toList();
        }
        for (Path old : all.subList(Math.min(kept, all.size()), all.size())) {
            Files.delete(old);
        }
    }
}
