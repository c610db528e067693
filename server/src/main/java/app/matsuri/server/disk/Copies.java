package app.matsuri.server.disk;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.util.FileSystemUtils;

/** Copies of a data folder, each one .zip: the database as of one moment, and what lies beside it. Each is read whole. */
public final class Copies {

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HHmmss");

    private Copies() {}

    /** A copy cannot be made, or is none that could be brought back; the message says why. */
    public static final class NoCopy extends Exception {

        NoCopy(String message) {
            super(message);
        }
    }

    /**
     * Writes a copy while the server runs. It takes the place of a file of that name only when it was read whole.
     *
     * @param connections to the database, which lies in the folder
     */
    public static void write(DataSource connections, Path folder, Path zip) throws IOException, NoCopy {
        Path to = zip.toAbsolutePath();
        Path aside = Files.createTempDirectory(folder, ".copy");
        try {
            Path database = aside.resolve("database.zip");
            try (Connection connection = connections.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("BACKUP TO '" + database.toString().replace("'", "''") + "'");
            } catch (SQLException e) {
                throw new NoCopy("The database cannot be copied: " + e.getMessage());
            }
            Path whole = aside.resolve("copy.zip");
            try (ZipOutputStream out = new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(whole)));
                    ZipInputStream in = new ZipInputStream(Files.newInputStream(database))) {
                for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                    if (entry.getName().endsWith(".mv.db")) {
                        out.putNextEntry(new ZipEntry(DataFolder.DATABASE));
                        in.transferTo(out);
                    }
                }
                for (String name : DataFolder.BESIDE) {
                    if (Files.exists(folder.resolve(name))) {
                        out.putNextEntry(new ZipEntry(name));
                        Files.copy(folder.resolve(name), out);
                    }
                }
            }
            unpacked(whole, Files.createDirectory(aside.resolve("looked-at")));
            moved(whole, to);
        } finally {
            FileSystemUtils.deleteRecursively(aside);
        }
    }

    /**
     * Brings a copy back in place of what is there, which is kept beside it.
     *
     * @return the folder in which lies what was there
     */
    public static Path restore(Path zip, Path folder) throws IOException, NoCopy {
        if (!Files.isRegularFile(zip)) {
            throw new NoCopy(zip + ": there is no such file. Nothing was changed.");
        }
        Files.createDirectories(folder);
        if (running(folder)) {
            throw new NoCopy("A server runs on " + folder + ". Stop it first. Nothing was changed.");
        }
        Path aside = Files.createTempDirectory(folder, ".restore");
        try {
            List<Path> files = unpacked(zip, aside);
            Path before = folder.resolve("before-restore-" + STAMP.format(LocalDateTime.now()));
            Files.createDirectory(before);
            List<String> names = new ArrayList<>(DataFolder.BESIDE);
            names.add(DataFolder.DATABASE);
            for (String name : names) {
                if (Files.exists(folder.resolve(name))) {
                    Files.move(folder.resolve(name), before.resolve(name));
                }
            }
            for (Path file : files) {
                Files.move(file, folder.resolve(file.getFileName()));
            }
            return before;
        } finally {
            FileSystemUtils.deleteRecursively(aside);
        }
    }

    private static void moved(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException otherDisk) {
            Path near = Files.createTempFile(to.getParent(), ".copy", ".zip");
            Files.copy(from, near, StandardCopyOption.REPLACE_EXISTING);
            Files.move(near, to, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        }
    }

    static String url(Path database, String more) {
        return "jdbc:h2:file:" + database.toAbsolutePath().toString().replace(".mv.db", "") + ";IFEXISTS=TRUE" + more;
    }

    /** Whether somebody holds the lock that a database puts on its file. */
    static boolean running(Path folder) throws IOException {
        Path database = folder.resolve(DataFolder.DATABASE);
        if (!Files.exists(database)) {
            return false;
        }
        try (FileChannel file = FileChannel.open(database, StandardOpenOption.READ, StandardOpenOption.WRITE);
                FileLock lock = file.tryLock()) {
            return lock == null;
        } catch (OverlappingFileLockException here) {
            return true;
        }
    }

    /** Unpacks a copy and reads all of it. */
    private static List<Path> unpacked(Path zip, Path into) throws IOException, NoCopy {
        List<Path> files = new ArrayList<>();
        try (InputStream file = Files.newInputStream(zip);
                ZipInputStream in = new ZipInputStream(file)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                String name = entry.getName();
                if (!name.equals(DataFolder.DATABASE) && !DataFolder.BESIDE.contains(name)) {
                    throw new NoCopy(zip + " is no copy of a data folder: “" + name + "” stands in it.");
                }
                Path to = into.resolve(name);
                try (OutputStream out = Files.newOutputStream(to)) {
                    in.transferTo(out);
                }
                files.add(to);
            }
        } catch (java.util.zip.ZipException | java.io.EOFException e) {
            throw new NoCopy(zip + " is damaged: " + e.getMessage() + ". Take an earlier copy.");
        }
        Path database = into.resolve(DataFolder.DATABASE);
        if (!files.contains(database)) {
            throw new NoCopy(zip + " is no copy of a data folder: it has no database.");
        }
        try {
            read(database);
        } catch (SQLException e) {
            throw new NoCopy(
                    zip + " has a database that cannot be read whole: " + e.getMessage() + ". Take an earlier copy.");
        }
        return files;
    }

    /**
     * Reads every value of every table.
     *
     * @return how many rows there are
     */
    static long read(Path database) throws SQLException {
        long rows = 0;
        try (Connection connection = DriverManager.getConnection(url(database, ";ACCESS_MODE_DATA=r"), "sa", "")) {
            List<String> tables = new ArrayList<>();
            try (ResultSet all =
                    connection.getMetaData().getTables(null, "PUBLIC", null, new String[] {"BASE TABLE"})) {
                while (all.next()) {
                    tables.add(all.getString("TABLE_NAME"));
                }
            }
            if (tables.isEmpty()) {
                throw new SQLException("it has no table");
            }
            for (String table : tables) {
                try (Statement statement = connection.createStatement();
                        ResultSet row = statement.executeQuery("select * from \"" + table + "\"")) {
                    int columns = row.getMetaData().getColumnCount();
                    while (row.next()) {
                        for (int c = 1; c <= columns; c++) {
                            row.getString(c);
                        }
                        rows++;
                    }
                }
            }
        }
        return rows;
    }
}
