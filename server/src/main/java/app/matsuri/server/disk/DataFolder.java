package app.matsuri.server.disk;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The folder of the database and of what lies beside it, looked at before anything is opened. */
public final class DataFolder {

    /** The file of the database. */
    public static final String DATABASE = "matsuri.mv.db";

    /** What lies beside it and belongs to it. */
    static final List<String> BESIDE = List.of("links.key");

    /** Two blocks of 4,096 bytes stand at the beginning of each; each begins so. */
    private static final String BEGINS = "H:2";

    private static final int BLOCK = 4_096;

    private DataFolder() {}

    /** Why nothing can be started on the folder; empty where it can. Nothing is changed but who may read it. */
    public static Optional<String> wrong(Path folder) {
        try {
            Files.createDirectories(folder);
            if (!Files.isWritable(folder)) {
                return Optional.of("The data folder " + folder + " cannot be written by this user. Give another with"
                        + " --data, or make it this user's own.");
            }
            Path database = folder.resolve(DATABASE);
            if (Files.exists(database)) {
                if (!Files.isWritable(database)) {
                    return Optional.of(database + " cannot be written by this user. Make it this user's own.");
                }
                if (!whole(database)) {
                    return Optional.of(database + " is no database any more (" + Files.size(database)
                            + " bytes): it was emptied, cut off or overwritten. It is left as it is, and this is no first"
                            + " visit. Bring a copy back with ./matsuri restore FILE; daily copies lie in "
                            + folder.resolve(DailyCopies.FOLDER) + ".");
                }
            }
            closed(folder);
            return Optional.empty();
        } catch (IOException e) {
            return Optional.of("The data folder " + folder + " cannot be used: " + e.getMessage());
        }
    }

    private static boolean whole(Path database) throws IOException {
        try (RandomAccessFile file = new RandomAccessFile(database.toFile(), "r")) {
            byte[] head = new byte[BEGINS.length()];
            for (int block = 0; block < 2 && file.length() >= (block + 1L) * BLOCK; block++) {
                file.seek((long) block * BLOCK);
                file.readFully(head);
                if (new String(head, StandardCharsets.ISO_8859_1).equals(BEGINS)) {
                    return file.length() >= 2L * BLOCK;
                }
            }
            return false;
        }
    }

    /** It and what lies in it are its owner's alone, where the system knows such a thing. */
    private static void closed(Path folder) throws IOException {
        if (!Files.getFileStore(folder).supportsFileAttributeView("posix")) {
            return;
        }
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
            }
        }
    }
}
