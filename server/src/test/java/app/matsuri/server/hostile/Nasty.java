package app.matsuri.server.hostile;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Values, trees and bytes as nobody means them. */
final class Nasty {

    private static final List<String> TEXTS = List.of(
            "",
            " ",
            "\u0000",
            "a\u0000b",
            "\uD800",
            "x\uDC00y",
            "\u202Eabc\u202C",
            "\uFEFF",
            "e\u0301\u0301\u0301",
            "\uD83E\uDD9A".repeat(200),
            "=1+1",
            "@SUM(A1)",
            "<script>alert(1)</script>",
            "a\r\nX-Other: b",
            "DTSTART:20260101\r\nEND:VEVENT",
            "' or 1=1 --",
            "%00%ff%zz",
            "${jndi:ldap://x}",
            "../../etc/passwd",
            "2026-02-30",
            "9999-12-31",
            "+999999999-12-31",
            "0000-00-00",
            "1899-12-31",
            "2026-10-09T25:00",
            "24:00",
            "-1",
            "1e999",
            "NaN",
            "FREQ=SECONDLY",
            "FREQ=MONTHLY;BYMONTHDAY=31;BYDAY=1MO",
            "FREQ=DAILY;INTERVAL=2147483647",
            "FREQ=WEEKLY;COUNT=999999999;BYDAY=MO",
            "Mon 5 Oct - ".repeat(300),
            "1.".repeat(2_000),
            "(".repeat(500),
            "every ".repeat(500),
            "12, ".repeat(900),
            "Mon, ".repeat(1_000),
            "final ".repeat(800),
            "\t".repeat(19_000),
            "a@b.".repeat(2_000),
            "x".repeat(1_001),
            "x".repeat(250_001),
            "HYD 210",
            "A",
            "HYD 210/A",
            "CH2",
            "CH",
            "log-6",
            "2026-10-09",
            "2026-10-07T10:00",
            "17:00",
            "5 Oct 5pm",
            "next Friday",
            "in 3 weeks");

    private static final List<Object> OTHERS = List.of(
            true,
            false,
            0,
            -1,
            1,
            101,
            1_001,
            Integer.MAX_VALUE,
            Integer.MIN_VALUE,
            Long.MAX_VALUE,
            1.5,
            1e300,
            new java.math.BigDecimal("1e999999999"),
            List.of(),
            List.of(List.of(List.of())),
            Map.of(),
            Map.of("kind", "x"),
            Map.of("\u0000", Map.of()));

    private final Random random;

    Nasty(Random random) {
        this.random = random;
    }

    String text() {
        return TEXTS.get(random.nextInt(TEXTS.size()));
    }

    Object value() {
        int n = random.nextInt(TEXTS.size() + OTHERS.size() + 2);
        if (n < TEXTS.size()) {
            return TEXTS.get(n);
        }
        if (n < TEXTS.size() + OTHERS.size()) {
            return OTHERS.get(n - TEXTS.size());
        }
        return n % 2 == 0 ? null : many();
    }

    private List<Object> many() {
        List<Object> many = new ArrayList<>();
        Object of = random.nextBoolean() ? "x" : Map.of("id", "a", "title", "t");
        for (int i = 0; i < 300; i++) {
            many.add(of);
        }
        return many;
    }

    /** The tree with one place of it replaced, left out, doubled, or with something unknown beside it. */
    Object tree(Object tree) {
        if (tree instanceof Map<?, ?> map && !map.isEmpty() && random.nextInt(8) > 0) {
            Map<Object, Object> other = new LinkedHashMap<>(map);
            Object key = new ArrayList<>(map.keySet()).get(random.nextInt(map.size()));
            switch (random.nextInt(12)) {
                case 0 -> other.remove(key);
                case 1 -> other.put(text(), value());
                case 2 -> other.put(key, value());
                default -> other.put(key, tree(map.get(key)));
            }
            return other;
        }
        if (tree instanceof List<?> list && !list.isEmpty() && random.nextInt(8) > 0) {
            List<Object> other = new ArrayList<>(list);
            int at = random.nextInt(list.size());
            switch (random.nextInt(8)) {
                case 0 -> other.remove(at);
                case 1 -> other.add(other.get(at));
                case 2 -> other.add(value());
                default -> other.set(at, tree(list.get(at)));
            }
            return other;
        }
        return value();
    }

    /** The bytes with some of them changed, left out, doubled or put elsewhere. */
    byte[] bytes(byte[] given) {
        byte[] bytes = given;
        for (int times = 1 + random.nextInt(4); times > 0; times--) {
            bytes = once(bytes);
        }
        return bytes;
    }

    private byte[] once(byte[] given) {
        int length = given.length;
        int from = length == 0 ? 0 : random.nextInt(length);
        int to = Math.min(length, from + 1 + random.nextInt(40));
        byte[] part = switch (random.nextInt(6)) {
            case 0 -> new byte[0];
            case 1 -> text().getBytes(StandardCharsets.UTF_8);
            case 2 -> twice(given, from, to);
            case 3 -> new byte[] {(byte) random.nextInt(256)};
            case 4 -> text().getBytes(StandardCharsets.UTF_16LE);
            default -> {
                byte[] other = java.util.Arrays.copyOfRange(given, from, to);
                for (int i = 0; i < other.length; i++) {
                    other[i] ^= (byte) (1 << random.nextInt(8));
                }
                yield other;
            }
        };
        byte[] whole = new byte[from + part.length + length - to];
        System.arraycopy(given, 0, whole, 0, from);
        System.arraycopy(part, 0, whole, from, part.length);
        System.arraycopy(given, to, whole, from + part.length, length - to);
        return whole;
    }

    private static byte[] twice(byte[] given, int from, int to) {
        byte[] part = java.util.Arrays.copyOfRange(given, from, to);
        byte[] twice = java.util.Arrays.copyOf(part, part.length * 2);
        System.arraycopy(part, 0, twice, part.length, part.length);
        return twice;
    }
}
