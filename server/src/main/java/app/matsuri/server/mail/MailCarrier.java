package app.matsuri.server.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.Properties;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** Letters by SMTP where a mail server is set; else they stay in the outbox. */
@Component
class MailCarrier implements Carrier {

    private static final String WAIT = "10000";

    private final MailSettings settings;
    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();

    MailCarrier(MailSettings settings) {
        this.settings = settings;
        sender.setHost(settings.host());
        sender.setPort(settings.port());
        sender.setUsername(settings.username());
        sender.setPassword(settings.password());
        sender.setDefaultEncoding(StandardCharsets.UTF_8.name());
        Properties properties = sender.getJavaMailProperties();
        properties.put("mail.smtp.auth", Boolean.toString(settings.username() != null));
        properties.put("mail.smtp.starttls.enable", "true");
        // a server that does not answer holds nothing up for longer, in milliseconds
        properties.put("mail.smtp.connectiontimeout", WAIT);
        properties.put("mail.smtp.timeout", WAIT);
        properties.put("mail.smtp.writetimeout", WAIT);
    }

    @Override
    public boolean simulated() {
        return settings.host() == null;
    }

    @Override
    public void take(Letter letter) throws NotTaken {
        try {
            sender.send(message(letter));
        } catch (MailException | MessagingException e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            throw new NotTaken(String.valueOf(cause.getMessage()).strip(), e);
        }
    }

    @Override
    public byte[] wire(Letter letter) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            message(letter).writeTo(bytes);
        } catch (IOException | MessagingException e) {
            throw new IllegalStateException("letter " + letter.id + " cannot be written", e);
        }
        return bytes.toByteArray();
    }

    private MimeMessage message(Letter letter) throws MessagingException {
        MimeMessage message = sender.createMimeMessage();
        boolean parts = !letter.html.isEmpty() || !letter.calendar.isEmpty();
        MimeMessageHelper helper = new MimeMessageHelper(message, parts, StandardCharsets.UTF_8.name());
        helper.setFrom(settings.from());
        helper.setTo(letter.recipient);
        helper.setSubject(letter.subject);
        helper.setSentDate(Date.from(letter.moment));
        if (letter.html.isEmpty()) {
            helper.setText(letter.body);
        } else {
            helper.setText(letter.body, letter.html);
        }
        if (!letter.calendar.isEmpty()) {
            String method = letter.calendar.contains("METHOD:CANCEL") ? "CANCEL" : "REQUEST";
            // RFC 6047: mail programs that know calendars offer to take it over
            helper.addAttachment(
                    "invitation.ics",
                    new ByteArrayResource(letter.calendar.getBytes(StandardCharsets.UTF_8)),
                    "text/calendar; method=" + method + "; charset=UTF-8");
        }
        if (!letter.stopAddress.isEmpty()) {
            // RFC 8058: one press in the reader's mail program
            message.setHeader("List-Unsubscribe", "<" + letter.stopAddress + ">");
            message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
        }
        message.saveChanges();
        return message;
    }
}
