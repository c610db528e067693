package app.matsuri.server.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import org.h2.store.fs.FileBaseDefault;

/** A file of the database over another channel, to which everything goes through. */
class OverChannel extends FileBaseDefault {

    private final FileChannel channel;

    OverChannel(FileChannel channel) {
        this.channel = channel;
    }

    @Override
    public int write(ByteBuffer bytes, long at) throws IOException {
        return channel.write(bytes, at);
    }

    @Override
    public int read(ByteBuffer into, long at) throws IOException {
        return channel.read(into, at);
    }

    @Override
    public long size() throws IOException {
        return channel.size();
    }

    @Override
    protected void implTruncate(long size) throws IOException {
        channel.truncate(size);
    }

    @Override
    public void force(boolean metaData) throws IOException {
        channel.force(metaData);
    }

    @Override
    public FileLock tryLock(long position, long size, boolean shared) throws IOException {
        return channel.tryLock(position, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
        channel.close();
    }
}
