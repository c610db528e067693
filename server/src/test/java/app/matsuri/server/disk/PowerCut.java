package app.matsuri.server.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/** Files under {@code powercut:} that keep what was flushed only: what was written since is read, and gone when the power is. */
public final class PowerCut extends FilePathWrapper {

    static final AtomicBoolean OFF = new AtomicBoolean();

    /** As the database makes them. */
    public PowerCut() {}

    static void register() {
        FilePath.register(new PowerCut());
    }

    /** Something that is done to the file when it is flushed. */
    private interface Step {
        void on(FileChannel file) throws IOException;
    }

    @Override
    public String getScheme() {
        return "powercut";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel file = super.open(mode);
        ByteBuffer begin = ByteBuffer.allocate((int) file.size());
        file.read(begin, 0);
        return new Forgetful(file, begin.array());
    }

    private static final class Forgetful extends OverChannel {

        private final FileChannel file;
        private final List<Step> waiting = new ArrayList<>();
        private byte[] seen;

        Forgetful(FileChannel file, byte[] seen) {
            super(file);
            this.file = file;
            this.seen = seen;
        }

        private static void on() throws IOException {
            if (OFF.get()) {
                throw new IOException("the power is off");
            }
        }

        @Override
        public synchronized int write(ByteBuffer bytes, long at) throws IOException {
            on();
            byte[] what = new byte[bytes.remaining()];
            bytes.get(what);
            int end = (int) at + what.length;
            seen = end > seen.length ? java.util.Arrays.copyOf(seen, end) : seen;
            System.arraycopy(what, 0, seen, (int) at, what.length);
            waiting.add(to -> to.write(ByteBuffer.wrap(what), at));
            return what.length;
        }

        @Override
        public synchronized int read(ByteBuffer into, long at) throws IOException {
            on();
            int much = (int) Math.min(into.remaining(), seen.length - at);
            if (much <= 0) {
                return -1;
            }
            into.put(seen, (int) at, much);
            return much;
        }

        @Override
        public synchronized long size() {
            return seen.length;
        }

        @Override
        protected synchronized void implTruncate(long size) throws IOException {
            on();
            seen = java.util.Arrays.copyOf(seen, (int) Math.min(seen.length, size));
            waiting.add(to -> to.truncate(size));
        }

        @Override
        public synchronized void force(boolean metaData) throws IOException {
            on();
            for (Step step : waiting) {
                step.on(file);
            }
            waiting.clear();
        }
    }
}
