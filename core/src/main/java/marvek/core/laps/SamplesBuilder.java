package marvek.core.laps;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Collects the values of a channel of which nobody knows how many there are. */
public final class SamplesBuilder {
  private static final int CHUNK = 1 << 16;

  private final boolean exact;
  private final List<Object> chunks = new ArrayList<>();
  private double[] last = new double[0];
  private int inLast;
  private int size;

  /**
   * @param channel that values are collected of; null for times
   */
  public SamplesBuilder(Channel channel) {
    exact = Samples.isExact(channel);
  }

  /** One value more. */
  public void add(double value) {
    if (inLast == last.length) {
      keepLast();
      last = new double[CHUNK];
      inLast = 0;
    }
    last[inLast++] = value;
    size++;
  }

  private void keepLast() {
    if (last.length > 0) {
      chunks.add(exact ? last : rounded(last));
    }
  }

  private static float[] rounded(double[] values) {
    float[] all = new float[values.length];
    for (int i = 0; i < all.length; i++) {
      all[i] = (float) values[i];
    }
    return all;
  }

  public int size() {
    return size;
  }

  private double[] all() {
    double[] all = new double[size];
    for (int c = 0; c < chunks.size(); c++) {
      if (chunks.get(c) instanceof double[] doubles) {
        System.arraycopy(doubles, 0, all, c * CHUNK, CHUNK);
      } else {
        float[] floats = (float[]) chunks.get(c);
        for (int i = 0; i < CHUNK; i++) {
          all[c * CHUNK + i] = floats[i];
        }
      }
    }
    System.arraycopy(last, 0, all, chunks.size() * CHUNK, size - chunks.size() * CHUNK);
    return all;
  }

  /** A value that was added, to seven digits where it is no time and no place. */
  public double at(int i) {
    int chunk = i / CHUNK;
    if (chunk == chunks.size()) {
      return last[i % CHUNK];
    }
    Object of = chunks.get(chunk);
    return of instanceof double[] doubles ? doubles[i % CHUNK] : ((float[]) of)[i % CHUNK];
  }

  /** Some of the values, in their order. */
  public Samples build(BitSet kept) {
    int count = kept.cardinality();
    if (count == size && (exact || count < Samples.LONG)) {
      return Samples.exact(all());
    }
    if (exact || count < Samples.LONG) {
      double[] all = new double[count];
      int k = 0;
      for (int i = kept.nextSetBit(0); i >= 0; i = kept.nextSetBit(i + 1)) {
        all[k++] = at(i);
      }
      return Samples.exact(all);
    }
    float[] all = new float[count];
    int k = 0;
    for (int i = kept.nextSetBit(0); i >= 0; i = kept.nextSetBit(i + 1)) {
      all[k++] = (float) at(i);
    }
    return Samples.rounded(all);
  }
}
