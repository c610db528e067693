package app.matsuri.exchange.calendar;

import java.time.ZoneId;
import java.time.zone.ZoneRules;
import java.util.Map;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DateProperty;
import net.fortuna.ical4j.model.property.UtcProperty;
import org.jspecify.annotations.Nullable;

/** The only zone of a calendar, so that the library does not look through all zones of the world for each time that it writes. */
record OneZone(ZoneId zone) implements TimeZoneRegistry {

    /** Has each time of an event written in this zone. */
    void of(VEvent event) {
        event.getPropertyList().getAll().forEach(property -> {
            if (property instanceof DateProperty<?> date && !(property instanceof UtcProperty)) {
                date.setTimeZoneRegistry(this);
            }
        });
    }

    @Override
    public Map<String, ZoneRules> getZoneRules() {
        return Map.of(zone.getId(), zone.getRules());
    }

    @Override
    public ZoneId getZoneId(String id) {
        return id.equals(zone.getId()) ? zone : ZoneId.of(id);
    }

    @Override
    public String getTzId(String zoneId) {
        return zoneId;
    }

    @Override
    public @Nullable TimeZone getTimeZone(String id) {
        return null;
    }

    @Override
    public void register(TimeZone other) {
        throw new UnsupportedOperationException("a calendar of one zone has no other");
    }

    @Override
    public void register(TimeZone other, boolean update) {
        register(other);
    }

    @Override
    public void clear() {
        throw new UnsupportedOperationException("a calendar of one zone has that zone");
    }
}
