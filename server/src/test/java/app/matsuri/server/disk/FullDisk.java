package app.matsuri.server.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.util.concurrent.atomic.AtomicBoolean;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/** Files under {@code full:} of which each write fails while the disk is said to be full. */
public final class FullDisk extends FilePathWrapper {

    static final AtomicBoolean FULL = new AtomicBoolean();

    /** As the database makes them. */
    public FullDisk() {}

    static {
        FilePath.register(new FullDisk());
    }

    /** An address of a database on such files. */
    static String url(java.nio.file.Path database) {
        return "jdbc:h2:full:" + database + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
    }

    @Override
    public String getScheme() {
        return "full";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        return new OverChannel(super.open(mode)) {
            @Override
            public int write(ByteBuffer bytes, long at) throws IOException {
                if (FULL.get()) {
                    throw new IOException("No space left on device");
                }
                return super.write(bytes, at);
            }
        };
    }
}
