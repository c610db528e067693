package app.matsuri.server.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * Files under {@code flushed:} of which each write is on the disk when it returns. The database writes one block for each
 * commit and leaves flushing it to the system, which a power cut would forget; what was answered is to be there after one.
 */
public final class FlushedFiles extends FilePathWrapper {

    /** As the database makes them. */
    public FlushedFiles() {}

    /** Makes them known to the database. */
    static void register() {
        FilePath.register(new FlushedFiles());
    }

    @Override
    public String getScheme() {
        return "flushed";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel channel = super.open(mode);
        return new OverChannel(channel) {
            @Override
            public int write(ByteBuffer bytes, long at) throws IOException {
                int written = super.write(bytes, at);
                force(false);
                return written;
            }
        };
    }
}
