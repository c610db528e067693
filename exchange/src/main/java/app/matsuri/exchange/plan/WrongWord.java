package app.matsuri.exchange.plan;

import java.util.List;

/** A word that is none of those that may stand there; the message says which may. */
public final class WrongWord extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    WrongWord(String word, List<String> words) {
        super("“" + word + "” is not one of " + String.join(", ", words) + ".");
    }
}
