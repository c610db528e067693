package app.matsuri.server.account;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** The password, asked for once more. */
public record PasswordAgain(
        @NotBlank(message = "Give your password.") @Size(max = 1000, message = "At most 1000 characters.")
        String password) {}
