package app.matsuri.server.command;

import app.matsuri.exchange.plan.Json;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.StandardProtocolFamily;
import java.net.UnixDomainSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.ServerSocketChannel;
import java.nio.channels.SocketChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * The way to a running server for whoever owns its data folder: a socket in that folder which only its owner can open. One command a
 * connection: its arguments as a JSON array, then its result as a JSON object.
 */
@Component
class CommandSocket implements DisposableBean {

    /** The name of the socket in the data folder. */
    static final String NAME = "matsuri.sock";

    private static final Logger LOG = LoggerFactory.getLogger(CommandSocket.class);
    private static final int MOST_BYTES = 100_000;

    private final Commands commands;
    private final @Nullable Path socket;
    private @Nullable ServerSocketChannel server;

    CommandSocket(Commands commands, @Value("${matsuri.data:}") String data) {
        this.commands = commands;
        this.socket = data.isEmpty() ? null : Path.of(data).resolve(NAME);
    }

    @EventListener(ApplicationReadyEvent.class)
    void listen() {
        if (socket == null || !Files.isDirectory(socket.resolveSibling("."))) {
            return;
        }
        ServerSocketChannel listening;
        try {
            Files.deleteIfExists(socket); // of a server that was killed: the database is locked by one alone
            listening = ServerSocketChannel.open(StandardProtocolFamily.UNIX);
            server = listening;
            listening.bind(UnixDomainSocketAddress.of(socket));
            Files.setPosixFilePermissions(socket, PosixFilePermissions.fromString("rw-------"));
        } catch (IOException | UnsupportedOperationException e) {
            LOG.warn("no socket for commands in the data folder: {}", e.getMessage());
            return;
        }
        Thread thread = new Thread(() -> serve(listening), "commands");
        thread.setDaemon(true);
        thread.start();
    }

    private void serve(ServerSocketChannel listening) {
        while (listening.isOpen()) {
            try (SocketChannel connection = listening.accept()) {
                Commands.Result result = answer(connection);
                write(connection, Json.MAPPER.writeValueAsString(result));
            } catch (ClosedChannelException e) {
                return; // the server ends
            } catch (IOException | RuntimeException e) {
                LOG.error("a command failed", e);
            }
        }
    }

    private Commands.Result answer(SocketChannel connection) throws IOException {
        List<String> arguments = new ArrayList<>();
        for (JsonNode argument : Json.read(read(connection, MOST_BYTES))) {
            arguments.add(argument.stringValue());
        }
        try {
            return commands.run(arguments);
        } catch (RuntimeException e) {
            LOG.error("a command failed", e);
            return Commands.Result.wrong(
                    "Something went wrong; it is in the server's log. Nothing was stored by halves.");
        }
    }

    /** Reads until the other side has said all. */
    static String read(SocketChannel from, int most) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        ByteBuffer buffer = ByteBuffer.allocate(8_192);
        while (from.read(buffer) >= 0) {
            all.write(buffer.array(), 0, buffer.position());
            buffer.clear();
            if (all.size() > most) {
                throw new IOException("more than " + most + " bytes");
            }
        }
        return all.toString(StandardCharsets.UTF_8);
    }

    static void write(SocketChannel to, String text) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
        while (bytes.hasRemaining()) {
            to.write(bytes);
        }
    }

    @Override
    public void destroy() throws IOException {
        if (server != null) {
            server.close();
            Files.deleteIfExists(socket);
        }
    }
}
