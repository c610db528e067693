package app.matsuri.server.link;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** On which day links were opened last, written together a little later, so that a class that opens its links at once waits for none. */
@Component
class LinkUses {

    private final EntityManager entities;
    private final TransactionTemplate step;
    private final Map<Long, LocalDate> opened = new ConcurrentHashMap<>();

    LinkUses(EntityManager entities, PlatformTransactionManager transactions) {
        this.entities = entities;
        this.step = new TransactionTemplate(transactions);
        // also where it is asked for by who only reads
        step.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** That a link was opened on a day. */
    void opened(PublicLink link, LocalDate day) {
        if (!day.equals(link.lastUsedOn)) {
            opened.put(link.id, day);
        }
    }

    /** Writes what was not written yet. */
    @Scheduled(fixedDelayString = "PT15S", initialDelayString = "PT15S")
    @PreDestroy
    void write() {
        List<Map.Entry<Long, LocalDate>> all = List.copyOf(opened.entrySet());
        if (all.isEmpty()) {
            return;
        }
        step.executeWithoutResult(s -> all.stream()
                .map(Map.Entry::getValue)
                .distinct()
                .forEach(day -> entities.createQuery("update PublicLink set lastUsedOn = :d where id in (:ids)")
                        .setParameter("d", day)
                        .setParameter(
                                "ids",
                                all.stream()
                                        .filter(e -> e.getValue().equals(day))
                                        .map(Map.Entry::getKey)
                                        .toList())
                        .executeUpdate()));
        all.forEach(e -> opened.remove(e.getKey(), e.getValue()));
    }
}
