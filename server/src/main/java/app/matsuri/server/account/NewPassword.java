package app.matsuri.server.account;

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

/** A password that somebody chooses: 10 characters or more, and no more bytes than the encoder reads. */
@Target({ElementType.FIELD, ElementType.PARAMETER, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = NewPassword.Validator.class)
public @interface NewPassword {

    String message() default
            "A password has 10 characters or more, and at most 72 bytes: 72 plain letters, half as many with accents.";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Counts. */
    class Validator implements ConstraintValidator<NewPassword, String> {

        /** Bytes in UTF-8 that bcrypt reads. */
        private static final int MOST = 72;

        private static final int LEAST = 10;

        @Override
        public boolean isValid(@Nullable String password, ConstraintValidatorContext context) {
            return password != null
                    && password.codePointCount(0, password.length()) >= LEAST
                    && password.getBytes(StandardCharsets.UTF_8).length <= MOST;
        }
    }
}
