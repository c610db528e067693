package app.matsuri.server.http;

import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.In;
import jakarta.validation.constraints.Size;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import tools.jackson.databind.JsonNode;

/**
 * Looks at every body that was read: what its record does not mark as {@link Nullable} has to be there, in lists and in parts
 * as well. What is missing is answered with 400 and its place.
 */
@RestControllerAdvice
class WholeBodies extends RequestBodyAdviceAdapter {

    /** In characters: a long list as it is pasted. */
    private static final int MOST_TEXT = 2_000_000;

    private static final Charset WHOLE = StandardCharsets.UTF_8;

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        List<Fault> faults = new ArrayList<>();
        look(body, "", faults);
        if (!faults.isEmpty()) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "fields-at-fault",
                    "Something is missing",
                    String.join(" ", faults.stream().map(Fault::message).toList()),
                    faults);
        }
        return body;
    }

    private static void look(Object value, String pointer, List<Fault> faults) {
        if (value instanceof Iterable<?> many && !(value instanceof JsonNode)) {
            int n = 0;
            for (Object each : many) {
                there(each, pointer + "/" + n++, null, faults);
            }
        } else if (value instanceof Record record) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                there(of(record, component), pointer + "/" + component.getName(), component, faults);
            }
        }
    }

    private static void there(Object value, String pointer, @Nullable RecordComponent component, List<Fault> faults) {
        boolean none = value == null || value instanceof JsonNode node && (node.isNull() || node.isMissingNode());
        if (value instanceof CharSequence text) {
            bounded(text.toString(), most(component), pointer, faults);
        } else if (!none) {
            look(value, pointer, faults);
        } else if (component == null || !nullable(component)) {
            String name = pointer.substring(pointer.lastIndexOf('/') + 1);
            faults.add(new Fault(Fault.Severity.FATAL, pointer, 0, "“" + name + "” is missing."));
        }
    }

    /** A text of a body has bounded lines; where it means one thing it has fewer, which whoever reads it says. */
    private static void bounded(String text, int most, String pointer, List<Fault> faults) {
        try {
            if (most <= MOST_TEXT) {
                Given.lines("what was typed", text); // more is kept as it is, and not read
            }
            if (text.length() > most) {
                faults.add(fault(
                        pointer,
                        String.format(
                                Locale.ENGLISH,
                                "This is too long: it has %,d characters, and at most %,d are taken. Give a part of it"
                                        + " at a time.",
                                text.length(),
                                most)));
            } else if (text.indexOf(0) >= 0) {
                faults.add(fault(pointer, In.NUL));
            } else if (!WHOLE.newEncoder().canEncode(text)) {
                faults.add(fault(pointer, "In this text half of a character stands alone. Type it again."));
            }
        } catch (Unreadable e) {
            faults.add(fault(pointer, Objects.requireNonNullElse(e.getMessage(), "A line is too long.")));
        }
    }

    /** As the field says, else as a long list may have. */
    private static int most(@Nullable RecordComponent component) {
        Size size = component == null ? null : component.getAccessor().getAnnotation(Size.class);
        return size == null || size.max() == Integer.MAX_VALUE ? MOST_TEXT : Math.max(MOST_TEXT, size.max());
    }

    private static Fault fault(String pointer, String said) {
        return new Fault(Fault.Severity.FATAL, pointer, 0, said);
    }

    private static boolean nullable(RecordComponent component) {
        return List.<AnnotatedElement>of(component, component.getAnnotatedType(), component.getAccessor()).stream()
                .flatMap(element -> Arrays.stream(element.getAnnotations()))
                .anyMatch(annotation ->
                        annotation.annotationType().getSimpleName().equals("Nullable"));
    }

    private static Object of(Record record, RecordComponent component) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(record);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(component.toString(), e);
        }
    }
}
