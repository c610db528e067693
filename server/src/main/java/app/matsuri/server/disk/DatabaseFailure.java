package app.matsuri.server.disk;

import java.sql.SQLException;
import org.h2.api.ErrorCode;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in a sentence why the server does not start on its database. */
class DatabaseFailure extends AbstractFailureAnalyzer<SQLException> {

    @Override
    protected @Nullable FailureAnalysis analyze(Throwable root, SQLException cause) {
        return switch (cause.getErrorCode()) {
            case ErrorCode.DATABASE_ALREADY_OPEN_1 ->
                new FailureAnalysis(
                        "Another server runs on this data folder already. Nothing was changed.",
                        "Stop it, or give another folder with --data.",
                        cause);
            case ErrorCode.FILE_CORRUPTED_1,
                    ErrorCode.FILE_VERSION_ERROR_1,
                    ErrorCode.IO_EXCEPTION_2,
                    ErrorCode.IO_EXCEPTION_1,
                    ErrorCode.GENERAL_ERROR_1 ->
                new FailureAnalysis(
                        "The database cannot be read: " + cause.getMessage() + " It is left as it is.",
                        "Bring a copy back with ./matsuri restore FILE; daily copies lie in the data folder under "
                                + DailyCopies.FOLDER + ".",
                        cause);
            default -> null;
        };
    }
}
