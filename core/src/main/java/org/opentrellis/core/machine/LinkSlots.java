package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.LinkName;

/**
 * The links of what a journey sends that some condition asks about: clicks on them are noted one by
 * one. Slots are made while conditions are compiled, and looked up in a {@link Table} after that.
 */
final class LinkSlots {
  /** A link of one send. */
  record Slot(int send, LinkName link) {}

  private final SendTable sends;
  private final List<Slot> slots = new ArrayList<>();

  LinkSlots(SendTable sends) {
    this.sends = sends;
  }

  /** The slot for clicks on a link of one send; -1 if that has none such. */
  int of(int send, LinkName link) {
    if (sends.messages(send).stream().noneMatch(message -> message.links().contains(link))) {
      return -1;
    }
    Slot slot = new Slot(send, link);
    if (!slots.contains(slot)) {
      slots.add(slot);
    }
    return slots.indexOf(slot);
  }

  Table table() {
    return new Table(sends, List.copyOf(slots));
  }

  /** All slots. Immutable. */
  static final class Table {
    final List<Slot> slots;

    /** By send, variant and link. */
    private final int[][][] table;

    private Table(SendTable sends, List<Slot> slots) {
      this.slots = slots;
      table = new int[sends.size()][][];
      for (int send = 0; send < table.length; send++) {
        int of = send;
        table[send] =
            sends.messages(send).stream()
                .map(
                    message ->
                        message.links().stream()
                            .mapToInt(link -> slots.indexOf(new Slot(of, link)))
                            .toArray())
                .toArray(int[][]::new);
      }
    }

    /** The slot of a link, or -1 if no condition asks about it. */
    int of(int send, int variant, int link) {
      return slots.isEmpty() || link < 0 ? -1 : table[send][variant][link];
    }
  }
}
