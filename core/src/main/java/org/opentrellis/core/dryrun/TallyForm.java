package org.opentrellis.core.dryrun;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.CheckedOutputStream;

/**
 * What a dry run counted, as bytes: a mark, the version of this form, the engine's, each count in a
 * fixed order as a base-128 number (the lowest seven bits first, negative ones zigzag, zeros in
 * runs), and a CRC-32 of all before it. Whoever reads it has the same run, since a tally goes by
 * the run's journeys; that it is of another is found by the number of counts and the checksum.
 */
public final class TallyForm {
  private static final int MARK = 0x4f545459;
  private static final int VERSION = 1;

  private TallyForm() {}

  /**
   * @throws UncheckedIOException if it cannot be written
   */
  public static void write(Tallies tallies, OutputStream to) {
    try {
      CheckedOutputStream checked = new CheckedOutputStream(to, new CRC32());
      DataOutputStream out = new DataOutputStream(checked);
      out.writeInt(MARK);
      out.writeByte(VERSION);
      out.writeByte(DryRun.ENGINE);
      Writer writer = new Writer(out);
      tallies.counts(writer);
      writer.ends();
      out.flush();
      new DataOutputStream(to).writeInt((int) checked.getChecksum().getValue());
      to.flush();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * @param run the run that was counted
   * @throws UncheckedIOException if it cannot be read, or is of another run, version or engine
   */
  public static Tallies read(DryRun run, InputStream from) {
    try {
      CheckedInputStream checked = new CheckedInputStream(from, new CRC32());
      DataInputStream in = new DataInputStream(checked);
      if (in.readInt() != MARK) {
        throw new IOException("these are no counts of a dry run");
      }
      int version = in.readUnsignedByte();
      int engine = in.readUnsignedByte();
      if (version != VERSION || engine != DryRun.ENGINE) {
        throw new IOException(
            "counts of form %d and engine %d cannot be read by form %d and engine %d"
                .formatted(version, engine, VERSION, DryRun.ENGINE));
      }
      Tallies tallies = new Tallies(run.world(), run.settings());
      Reader reader = new Reader(in);
      tallies.counts(reader);
      reader.ends();
      int sum = (int) checked.getChecksum().getValue();
      if (new DataInputStream(from).readInt() != sum) {
        throw new IOException("these counts have been damaged");
      }
      return tallies;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static final class Writer implements Counts {
    private final DataOutputStream out;
    private long zeros;

    Writer(DataOutputStream out) {
      this.out = out;
    }

    @Override
    public long of(long count) {
      if (count == 0) {
        zeros++;
      } else {
        ends();
        number(zigzag(count));
      }
      return count;
    }

    /** Zeros are told by a zero and how many there are. */
    void ends() {
      if (zeros > 0) {
        number(0);
        number(zeros);
        zeros = 0;
      }
    }

    private static long zigzag(long count) {
      return (count << 1) ^ (count >> 63);
    }

    private void number(long bits) {
      try {
        long rest = bits;
        while ((rest & ~0x7fL) != 0) {
          out.writeByte((int) (rest & 0x7f | 0x80));
          rest >>>= 7;
        }
        out.writeByte((int) rest);
      } catch (IOException failed) {
        throw new UncheckedIOException(failed);
      }
    }
  }

  private static final class Reader implements Counts {
    private final DataInputStream in;
    private long zeros;

    Reader(DataInputStream in) {
      this.in = in;
    }

    @Override
    public long of(long count) {
      if (zeros > 0) {
        zeros--;
        return 0;
      }
      long bits = number();
      if (bits == 0) {
        zeros = number() - 1;
        return 0;
      }
      return (bits >>> 1) ^ -(bits & 1);
    }

    void ends() throws IOException {
      if (zeros != 0) {
        throw new IOException("these counts are of another run");
      }
    }

    private long number() {
      try {
        long bits = 0;
        for (int shift = 0; shift < 64; shift += 7) {
          long part = in.readUnsignedByte();
          bits |= (part & 0x7f) << shift;
          if (part < 0x80) {
            return bits;
          }
        }
        throw new IOException("a number has no end");
      } catch (IOException failed) {
        throw new UncheckedIOException(failed);
      }
    }
  }
}
