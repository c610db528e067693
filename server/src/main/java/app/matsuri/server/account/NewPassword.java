package app.matsuri.server.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** A password that somebody chooses: 10 characters or more, no more bytes than the encoder reads, and not one of the common ones. */
@Target({ElementType.FIELD, ElementType.PARAMETER, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = NewPassword.Validator.class)
public @interface NewPassword {

    String message() default
            "A password has 10 characters or more, and at most 72 bytes: 72 plain letters, half as many with accents."
                    + " It is none that is guessed in moments, such as a common word, a row of keys or a date.";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Counts. */
    class Validator implements ConstraintValidator<NewPassword, String> {

        /** Bytes in UTF-8 that bcrypt reads. */
        private static final int MOST = 72;

        private static final int LEAST = 10;

        /** From 0 to 4: 2 takes a million guesses or more. */
        private static final int LEAST_SCORE = 2;

        /** Its lists are read when the first password is chosen. */
        private static final class Guessing {
            static final Zxcvbn IS = new Zxcvbn();
        }

        @Override
        public boolean isValid(@Nullable String password, ConstraintValidatorContext context) {
            return password != null
                    && password.codePointCount(0, password.length()) >= LEAST
                    && password.getBytes(StandardCharsets.UTF_8).length <= MOST
                    && Guessing.IS.measure(password).getScore() >= LEAST_SCORE;
        }
    }
}
