package app.matsuri.server.person;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Sessions;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.TermStore;
import jakarta.persistence.EntityManager;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** All that is kept about who has an account, given out as one file; and accounts that are closed while their terms stay. */
@Component
public class PersonalData {

    /** What is kept: what it is called in the file, and the question, with the columns that are said. */
    private static final Map<String, Question> ASKED = new LinkedHashMap<>();

    private record Question(String query, List<String> said) {}

    static {
        ASKED.put(
                "account",
                new Question(
                        "select signIn, displayName, mail, createdAt, guest, twelveHours, weekStart, classReminder, display,"
                                + " case when factorKey is null then false else true end, openIdIssuer, openIdSubject from Account where id = :a",
                        List.of(
                                "signIn",
                                "displayName",
                                "mail",
                                "createdAt",
                                "guest",
                                "twelveHours",
                                "weekStart",
                                "classReminder",
                                "display",
                                "secondFactor",
                                "openIdIssuer",
                                "openIdSubject")));
        ASKED.put(
                "terms",
                new Question(
                        "select t.id, c.name, t.createdAt, t.deletedAt from TermRecord t, CalendarRow c where c.termId = t.id"
                                + " and t.workspaceId = :w order by t.id",
                        List.of("id", "name", "madeAt", "deletedAt")));
        ASKED.put(
                "sharedTerms",
                new Question(
                        "select termId, role, name, mail, invitedAt, withdrawn from Colleague where accountId = :a order by id",
                        List.of("id", "role", "name", "mail", "invitedAt", "withdrawn")));
        ASKED.put(
                "steps",
                new Question(
                        "select termId, seq, madeAt, sentence from HistoryEntry where accountId = :a order by termId, seq",
                        List.of("term", "seq", "at", "sentence")));
        ASKED.put(
                "looks",
                new Question(
                        "select termId, onDay, firstAt, lastAt, times from TermLook where accountId = :a order by onDay",
                        List.of("term", "day", "first", "last", "times")));
        ASKED.put(
                "drafts",
                new Question(
                        "select name, savedAt, body from Draft where accountId = :a",
                        List.of("name", "savedAt", "body")));
        ASKED.put(
                "letters",
                new Question(
                        "select moment, subject, body from Letter where workspaceId = :w and recipient = (select mail from"
                                + " Account where id = :a) order by id",
                        List.of("at", "subject", "body")));
    }

    /** What goes with an account that is closed. */
    private static final List<String> GONE = List.of(
            "delete from RecoveryCode where accountId = :a",
            "delete from PasswordReset where accountId = :a",
            "delete from Draft where accountId = :a",
            "delete from TermLook where accountId = :a",
            "delete from Colleague where accountId = :a",
            "update HistoryEntry set accountName = :closed where accountId = :a");

    private final EntityManager entities;
    private final Accounts accounts;
    private final Sessions sessions;
    private final TermStore store;

    PersonalData(EntityManager entities, Accounts accounts, Sessions sessions, TermStore store) {
        this.entities = entities;
        this.accounts = accounts;
        this.sessions = sessions;
        this.store = store;
    }

    /** All of it. Plans are files of their own, said here by name. */
    @Transactional(readOnly = true)
    ObjectNode of(SignedIn by) {
        ObjectNode all = Json.MAPPER.createObjectNode();
        ASKED.forEach((name, question) -> {
            ArrayNode rows = all.putArray(name);
            var asked = entities.createQuery(question.query(), Object[].class);
            asked.getParameters()
                    .forEach(p -> asked.setParameter(
                            String.valueOf(p.getName()), "w".equals(p.getName()) ? by.workspaceId() : by.accountId()));
            asked.getResultList().forEach(row -> {
                ObjectNode said = rows.addObject();
                for (int n = 0; n < row.length; n++) {
                    said.set(question.said().get(n), Json.MAPPER.valueToTree(row[n]));
                }
            });
        });
        return all;
    }

    /**
     * Closes an account: nobody signs in with it any more, and nothing of the person stands in it. Its terms go to another.
     *
     * @param to who has the terms from then on; null where there are none
     * @throws Problem where there are terms and nobody to have them
     */
    @Transactional
    public void close(SignedIn by, @Nullable SignedIn to) {
        List<Long> terms = entities.createQuery("select id from TermRecord where workspaceId = :w", Long.class)
                .setParameter("w", by.workspaceId())
                .getResultList();
        if (!terms.isEmpty() && (to == null || to.workspaceId() == by.workspaceId())) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "terms-need-an-owner",
                    "Who has your terms?",
                    "There are " + terms.size()
                            + " terms, deleted ones that can be brought back among them. Say who has them"
                            + " from now on. Nothing was changed.");
        }
        if (to != null) {
            accounts.makesTerms(to);
            entities.createQuery("delete from Colleague where accountId = :a and termId in :terms")
                    .setParameter("a", to.accountId())
                    .setParameter("terms", terms.isEmpty() ? List.of(-1L) : terms)
                    .executeUpdate();
            terms.forEach(term -> store.handOver(by.workspaceId(), term, to.workspaceId()));
        }
        for (String gone : GONE) {
            var query = entities.createQuery(gone).setParameter("a", by.accountId());
            if (gone.contains(":closed")) {
                query.setParameter("closed", "Closed account " + by.accountId());
            }
            query.executeUpdate();
        }
        sessions.endAll(by);
        accounts.close(by);
    }
}
