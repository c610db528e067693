package app.matsuri.server.http;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.converter.FormHttpMessageConverter;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.util.MultiValueMap;

/** A request whose whole body was read before anybody waits for it; fields of a form are taken from there. */
final class ReadBody extends HttpServletRequestWrapper {

    private final byte[] body;
    private final Map<String, String[]> parameters = new LinkedHashMap<>();

    private ReadBody(HttpServletRequest request, byte[] body) {
        super(request);
        this.body = body;
    }

    /**
     * Reads the body.
     *
     * @throws IOException when it breaks off or comes too slowly
     */
    static HttpServletRequest of(HttpServletRequest request) throws IOException {
        ReadBody read = new ReadBody(request, request.getInputStream().readAllBytes());
        // the body being read, these are the ones of the address only
        read.parameters.putAll(request.getParameterMap());
        String type = request.getContentType();
        if (type != null && type.toLowerCase().startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE)) {
            MultiValueMap<String, String> fields = new FormHttpMessageConverter()
                    .read(null, new ServletServerHttpRequest(read) {
                        @Override
                        public java.io.InputStream getBody() {
                            return new ByteArrayInputStream(read.body);
                        }
                    });
            fields.forEach((name, values) -> read.parameters.merge(name, values.toArray(String[]::new), (a, b) -> a));
        }
        return read;
    }

    @Override
    public @Nullable String getParameter(String name) {
        String[] values = parameters.get(name);
        return values == null || values.length == 0 ? null : values[0];
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
        return parameters.get(name);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
        return Collections.unmodifiableMap(parameters);
    }

    @Override
    public Enumeration<String> getParameterNames() {
        return Collections.enumeration(parameters.keySet());
    }

    @Override
    public BufferedReader getReader() {
        Charset charset =
                getCharacterEncoding() == null ? StandardCharsets.UTF_8 : Charset.forName(getCharacterEncoding());
        return new BufferedReader(new InputStreamReader(getInputStream(), charset));
    }

    @Override
    public ServletInputStream getInputStream() {
        ByteArrayInputStream bytes = new ByteArrayInputStream(body);
        return new ServletInputStream() {
            @Override
            public int read() {
                return bytes.read();
            }

            @Override
            public int read(byte[] into, int from, int length) {
                return bytes.read(into, from, length);
            }

            @Override
            public boolean isFinished() {
                return bytes.available() == 0;
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {
                throw new UnsupportedOperationException("what was read whole is not waited for");
            }
        };
    }
}
