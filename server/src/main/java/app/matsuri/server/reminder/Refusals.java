package app.matsuri.server.reminder;

import app.matsuri.server.link.LinkKey;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who wants no reminders, and the address behind which each may say so. */
@Component
class Refusals {

    private final EntityManager entities;
    private final LinkKey key;

    Refusals(EntityManager entities, LinkKey key) {
        this.entities = entities;
        this.key = key;
    }

    /** Somebody who is written to from a workspace. */
    record Reader(long workspaceId, String mail) {}

    static String plain(String mail) {
        return mail.strip().toLowerCase(Locale.ROOT);
    }

    /** What the address of a reader ends with. */
    String token(Reader reader) {
        String who = reader.workspaceId() + " " + plain(reader.mail());
        return Base64.getUrlEncoder().withoutPadding().encodeToString(who.getBytes(StandardCharsets.UTF_8)) + "."
                + key.sign("no reminders " + who);
    }

    /** Whose address ends so; empty for nobody's. */
    Optional<Reader> reader(String token) {
        int dot = token.indexOf('.');
        if (dot < 0) {
            return Optional.empty();
        }
        try {
            String who = new String(Base64.getUrlDecoder().decode(token.substring(0, dot)), StandardCharsets.UTF_8);
            int space = who.indexOf(' ');
            Reader reader = new Reader(Long.parseLong(who.substring(0, space)), who.substring(space + 1));
            return LinkKey.same(token, token(reader)) ? Optional.of(reader) : Optional.empty();
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            return Optional.empty(); // no address of ours: whoever made it up is told that nothing is here
        }
    }

    /** Everybody of a workspace who wants none, in lower case. */
    @Transactional(readOnly = true)
    public Set<String> of(long workspaceId) {
        return new HashSet<>(entities.createQuery("select mail from NoReminders where workspaceId = :w", String.class)
                .setParameter("w", workspaceId)
                .getResultList());
    }

    @Transactional
    public void set(Reader reader, boolean none) {
        NoReminders row = new NoReminders();
        row.workspaceId = reader.workspaceId();
        row.mail = plain(reader.mail());
        NoReminders there = entities.find(NoReminders.class, new NoReminders.Key(row.workspaceId, row.mail));
        if (none && there == null) {
            entities.persist(row);
        } else if (!none && there != null) {
            entities.remove(there);
        }
    }
}
