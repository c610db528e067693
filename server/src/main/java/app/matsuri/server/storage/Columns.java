package app.matsuri.server.storage;

import app.matsuri.core.calendar.Known;
import app.matsuri.server.storage.row.Row;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;

/** The columns of each table of {@link Rows}, to compare two rows without writing them down. */
final class Columns {

    private static final Map<Class<? extends Row>, List<MethodHandle>> OF =
            Rows.TABLES.stream().collect(Collectors.toMap(table -> table, Columns::of));

    private Columns() {}

    /** Whether two rows of one table have the same in every column; numbers by their value. */
    static boolean same(Row a, Row b) {
        try {
            for (MethodHandle column : Known.there(OF.get(a.getClass()), "the columns of a table")) {
                if (!same((Object) column.invokeExact((Object) a), (Object) column.invokeExact((Object) b))) {
                    return false;
                }
            }
            return true;
        } catch (Throwable e) {
            throw new IllegalStateException("the columns of " + a.getClass().getSimpleName() + " cannot be read", e);
        }
    }

    private static boolean same(Object a, Object b) {
        return a instanceof BigDecimal x && b instanceof BigDecimal y ? x.compareTo(y) == 0 : Objects.equals(a, b);
    }

    private static List<MethodHandle> of(Class<? extends Row> table) {
        List<MethodHandle> columns = new ArrayList<>();
        try {
            for (Field field : table.getFields()) {
                if (!Modifier.isStatic(field.getModifiers())) {
                    MethodHandle column = MethodHandles.lookup().unreflectGetter(field);
                    columns.add(column.asType(
                            column.type().changeReturnType(Object.class).changeParameterType(0, Object.class)));
                }
            }
        } catch (IllegalAccessException e) {
            throw new IllegalStateException("the columns of " + table.getSimpleName() + " cannot be read", e);
        }
        return columns;
    }
}
