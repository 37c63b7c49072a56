package org.opentrellis.core.account;

import java.util.Optional;
import java.util.regex.Pattern;
import org.opentrellis.core.journey.Text;
import org.opentrellis.core.people.PhoneNumber;
import org.opentrellis.core.problem.Refused;

/**
 * How texts go out.
 *
 * @param sender what a phone says they come from: a number (E.164), or up to eleven letters and
 *     digits (3GPP TS 23.040, 9.1.2.5, from memory); empty until somebody says it
 * @param stop how to get no more of them, as it stands at the end of each; may be empty
 */
public record Texting(String sender, String stop) {
  /** Nobody sends texts, and nothing stands at their end. */
  public static final Texting NONE = new Texting("", "");

  private static final int LONGEST_STOP = 60;
  private static final Pattern LETTERS =
      Pattern.compile("(?=.*[A-Za-z])[A-Za-z0-9][A-Za-z0-9 ]{0,10}");

  /** How people say that one should answer (common practice, no source). */
  private static final Pattern ANSWER =
      Pattern.compile("\\b(answer|reply|respond|text back|send)\\b", Pattern.CASE_INSENSITIVE);

  /** A number to send it to makes an answer of it that can be given. */
  private static final Pattern TO_A_NUMBER = Pattern.compile("\\d{3,}");

  public Texting {
    sender = sender.isBlank() ? "" : sender(sender.strip());
    stop = stop.isBlank() ? "" : Text.named("how to stop texts", stop, LONGEST_STOP);
  }

  private static String sender(String said) {
    if (LETTERS.matcher(said).matches()) {
      return said;
    }
    try {
      return new PhoneNumber(said).value();
    } catch (Refused refused) {
      throw new Refused(
          "texts come from a number such as +47 21 23 45 67, or from at most 11 letters and digits; \u201c%s\u201d is neither"
              .formatted(said));
    }
  }

  /** Words with how to stop behind them, as they are sent. */
  public String ended(String words) {
    return stop.isEmpty() || words.isBlank() ? words : words + "\n" + stop;
  }

  /** Why nobody can do what is said at the end, if nobody can. */
  public Optional<String> cannotStop() {
    boolean answered = ANSWER.matcher(stop).find() && !TO_A_NUMBER.matcher(stop).find();
    return sender.isEmpty() || sender.startsWith("+") || !answered
        ? Optional.empty()
        : Optional.of(
            "Nobody can answer \u201c%s\u201d, which is no number: say another way than \u201c%s\u201d, or let texts come from a number."
                .formatted(sender, stop));
  }
}
