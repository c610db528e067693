package app.matsuri.server.http;

import app.matsuri.exchange.plan.Fault;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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
        if (!none) {
            look(value, pointer, faults);
        } else if (component == null || !nullable(component)) {
            String name = pointer.substring(pointer.lastIndexOf('/') + 1);
            faults.add(new Fault(Fault.Severity.FATAL, pointer, 0, "“" + name + "” is missing."));
        }
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
