package org.opentrellis.core.dryrun;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.function.Consumer;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.CheckedOutputStream;

/**
 * Counts as bytes: a mark, the version of the form, the engine's, each count in a fixed order as a
 * base-128 number (the lowest seven bits first, negative ones zigzag, zeros in runs), and a CRC-32
 * of all before it.
 */
final class CountsForm {
  private final int mark;
  private final int version;
  private final String what;

  /**
   * @param mark the first four bytes
   * @param what is counted, as a name
   */
  CountsForm(int mark, int version, String what) {
    this.mark = mark;
    this.version = version;
    this.what = what;
  }

  /**
   * @param counts goes through all of them
   * @throws UncheckedIOException if it cannot be written
   */
  void write(Consumer<Counts> counts, OutputStream to) {
    try {
      CheckedOutputStream checked = new CheckedOutputStream(to, new CRC32());
      DataOutputStream out = new DataOutputStream(checked);
      out.writeInt(mark);
      out.writeByte(version);
      out.writeByte(DryRun.ENGINE);
      Writer writer = new Writer(out);
      counts.accept(writer);
      writer.ends();
      out.flush();
      new DataOutputStream(to).writeInt((int) checked.getChecksum().getValue());
      to.flush();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * @param counts goes through all of them, each to be put in its place
   * @throws UncheckedIOException if it cannot be read, or is of another run, version or engine
   */
  void read(Consumer<Counts> counts, InputStream from) {
    try {
      CheckedInputStream checked = new CheckedInputStream(from, new CRC32());
      DataInputStream in = new DataInputStream(checked);
      if (in.readInt() != mark) {
        throw new IOException("these are no " + what);
      }
      int given = in.readUnsignedByte();
      int engine = in.readUnsignedByte();
      if (given != version || engine != DryRun.ENGINE) {
        throw new IOException(
            "counts of form %d and engine %d cannot be read by form %d and engine %d"
                .formatted(given, engine, version, DryRun.ENGINE));
      }
      Reader reader = new Reader(in);
      counts.accept(reader);
      reader.ends();
      int sum = (int) checked.getChecksum().getValue();
      if (new DataInputStream(from).readInt() != sum) {
        throw new IOException("these counts have been damaged");
      }
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
