package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import com.bastiaanjansen.otp.TOTPGenerator;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** A second factor from its key to the last recovery code. */
@ServerTest
class SecondFactorHttpTest {

    private static final String PASSWORD = "a password of some length";
    private static final String AT = "/api/me/second-factor";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    SecondFactor factor;

    private Browser browser;

    @BeforeEach
    void make() {
        browser = Browser.of(mvc, accounts);
    }

    private MockHttpServletResponse signIn(String password, String code) throws Exception {
        var request = post("/api/session")
                .with(csrf())
                .param("signIn", browser.person().signIn())
                .param("password", password);
        return mvc.perform(code == null ? request : request.param("code", code))
                .andReturn()
                .getResponse();
    }

    private Browser.Answer put(String code) throws Exception {
        return browser.ask(HttpMethod.PUT, AT, ("{\"code\":\"" + code + "\"}").getBytes(), "application/json");
    }

    /** By RFC 6238 and RFC 4226, worked out here. */
    private static String code(String key, long seconds) throws Exception {
        ByteBuffer bits = ByteBuffer.allocate(40);
        int held = 0;
        int value = 0;
        for (char c : key.toCharArray()) {
            value = value << 5 | "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".indexOf(c);
            held += 5;
            if (held >= 8) {
                held -= 8;
                bits.put((byte) (value >> held));
                value &= (1 << held) - 1;
            }
        }
        byte[] secret = new byte[bits.position()];
        bits.flip().get(secret);
        Mac mac = Mac.getInstance("HmacSHA1");
        mac.init(new SecretKeySpec(secret, "HmacSHA1"));
        byte[] hash = mac.doFinal(ByteBuffer.allocate(8).putLong(seconds / 30).array());
        int number = ByteBuffer.wrap(hash, hash[19] & 15, 4).getInt() & 0x7fffffff;
        return String.format("%06d", number % 1_000_000);
    }

    @Test
    void codesAreThoseOfTheStandard() throws Exception {
        // RFC 6238, appendix B, SHA-1: the last six of its eight digits
        String key = "GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ";
        long[] at = {59, 1111111109, 1111111111, 1234567890, 2000000000, 20000000000L};
        String[] codes = {"287082", "081804", "050471", "005924", "279037", "353130"};
        for (int n = 0; n < at.length; n++) {
            assertThat(code(key, at[n])).isEqualTo(codes[n]);
            assertThat(new TOTPGenerator.Builder(key).build().at(at[n])).isEqualTo(codes[n]);
        }
    }

    private static long now() {
        return Instant.now().getEpochSecond();
    }

    private String on(List<String> recovery) throws Exception {
        Browser.Answer begun = browser.post(AT, "{\"password\":\"" + PASSWORD + "\"}");
        String key = begun.body().path("key").stringValue();
        assertThat(begun.body().path("address").stringValue())
                .startsWith("otpauth://totp/Matsuri")
                .contains("secret=" + key);
        assertThat(begun.body().path("picture").stringValue()).startsWith("M");
        assertThat(put("000000").status()).isEqualTo(422);
        Browser.Answer confirmed = put(code(key, now()));
        assertThat(confirmed.status()).isEqualTo(200);
        confirmed.body().path("codes").forEach(c -> recovery.add(c.stringValue()));
        assertThat(recovery).hasSize(10).doesNotHaveDuplicates();
        return key;
    }

    @Test
    void itIsAskedForFromThenOnAndEachCodeIsTakenOnce() throws Exception {
        List<String> recovery = new ArrayList<>();
        assertThat(signIn(PASSWORD, null).getStatus()).isEqualTo(204);
        assertThat(browser.post(AT, "{\"password\":\"another\"}").status()).isEqualTo(422);
        String key = on(recovery);
        assertThat(signIn(PASSWORD, null).getContentAsString()).contains("code-wanted");
        assertThat(signIn("wrong", null).getContentAsString()).contains("sign-in-refused");
        assertThat(signIn("wrong", recovery.get(0)).getStatus()).isEqualTo(401);
        String next = code(key, now() + 30);
        assertThat(signIn(PASSWORD, next).getStatus()).isEqualTo(204);
        assertThat(signIn(PASSWORD, next).getStatus()).as("once").isEqualTo(401);
        // of ten at once with one recovery code, one is in
        long in = IntStream.range(0, 4)
                .parallel()
                .mapToObj(n -> {
                    try {
                        return signIn(PASSWORD, recovery.get(0).toLowerCase()).getStatus();
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                })
                .filter(status -> status == 204)
                .count();
        assertThat(in).isEqualTo(1);
        assertThat(browser.get(AT).body().toString()).contains("\"on\":true", "\"codesLeft\":9");
    }

    @Test
    void itIsTurnedOffWithThePasswordOrByWhoeverRunsTheServer() throws Exception {
        on(new ArrayList<>());
        assertThat(browser.post(AT + "/end", "{\"password\":\"another\"}").status())
                .isEqualTo(422);
        assertThat(browser.post(AT + "/end", "{\"password\":\"" + PASSWORD + "\"}")
                        .status())
                .isEqualTo(204);
        assertThat(signIn(PASSWORD, null).getStatus()).isEqualTo(204);
        on(new ArrayList<>());
        factor.end(browser.person());
        assertThat(signIn(PASSWORD, null).getStatus()).isEqualTo(204);
        assertThat(new String(browser.get(AT).response().getContentAsByteArray(), StandardCharsets.UTF_8))
                .contains("\"codesLeft\":0");
    }
}
