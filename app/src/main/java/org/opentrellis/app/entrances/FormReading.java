package org.opentrellis.app.entrances;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.people.PhoneNumber;
import org.opentrellis.core.problem.Refused;

/** Reads what somebody typed into a form; what the form does not ask is not looked at. */
final class FormReading {
  static final String ADDRESS = "address";
  static final String FIRST_NAME = "first-name";
  static final String LAST_NAME = "last-name";
  static final String PHONE = "phone";
  static final String TEXTS = "texts";
  private static final String FIELD = "field-";
  private static final int LONGEST = 500;
  private static final int LONGEST_NAME = 100;

  private final RegisteredNames names;
  private final Map<String, String> typed;
  private final Map<String, String> problems = new LinkedHashMap<>();

  /**
   * @param typed by the form's own names for what it asks
   */
  FormReading(RegisteredNames names, Map<String, String> typed) {
    this.names = names;
    this.typed = typed;
  }

  /** The form's own name for something that it asks. */
  static String nameOf(Asked asked) {
    return switch (asked) {
      case Asked.FirstName first -> FIRST_NAME;
      case Asked.LastName last -> LAST_NAME;
      case Asked.Phone phone -> PHONE;
      case Asked.Texts texts -> TEXTS;
      case Asked.Field field -> FIELD + field.field().value();
    };
  }

  /** What is wrong, by the form's own names; what {@link #read} gave is no use then. */
  Map<String, String> problems() {
    return problems;
  }

  Filled read(Entrance entrance) {
    String address = typed(ADDRESS);
    if (address.isEmpty()) {
      problems.put(ADDRESS, "Please give your email address.");
    } else {
      address = read(ADDRESS, address, () -> new EmailAddress(typed(ADDRESS)).value());
    }
    return read(entrance.asks(), address);
  }

  /** What is asked besides the address. */
  Filled read(List<Asked> asks, String address) {
    Map<String, String> fields = new LinkedHashMap<>();
    Map<String, String> others = new LinkedHashMap<>();
    for (Asked asked : asks) {
      String name = nameOf(asked);
      String value = typed(name);
      if (value.isEmpty()) {
        if (asked.required()) {
          problems.put(name, "Please fill this in.");
        }
      } else {
        switch (asked) {
          case Asked.FirstName first -> others.put(name, text(name, value, LONGEST_NAME));
          case Asked.LastName last -> others.put(name, text(name, value, LONGEST_NAME));
          case Asked.Phone phone ->
              others.put(name, read(name, value, () -> new PhoneNumber(value).value()));
          case Asked.Texts texts -> others.put(name, value);
          case Asked.Field field -> {
            String kept = text(name, value, LONGEST);
            read(name, kept, () -> names.read(field.field(), kept).map(one -> kept).orElse(""));
            fields.put(field.field().value(), kept);
          }
        }
      }
    }
    boolean texts = others.containsKey(TEXTS);
    boolean asksPhone = asks.stream().anyMatch(Asked.Phone.class::isInstance);
    if (texts && asksPhone && !others.containsKey(PHONE) && !problems.containsKey(PHONE)) {
      problems.put(PHONE, "Texts go to a phone: please give its number.");
    }
    return new Filled(
        address, others.get(FIRST_NAME), others.get(LAST_NAME), others.get(PHONE), texts, fields);
  }

  private String typed(String name) {
    @Nullable String value = typed.get(name);
    return value == null ? "" : value.strip();
  }

  private String text(String name, String value, int most) {
    if (value.length() > most) {
      problems.put(name, "Please use at most %,d characters.".formatted(most));
      return "";
    }
    return Characters.refusal(value)
        .map(
            wrong -> {
              problems.put(name, "What is typed here " + wrong + ".");
              return "";
            })
        .orElse(value);
  }

  private String read(String name, String value, Supplier<String> reading) {
    try {
      return reading.get();
    } catch (Refused refused) {
      problems.put(name, refused.sentence());
      return value;
    }
  }
}
