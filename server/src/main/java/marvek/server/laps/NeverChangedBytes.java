package marvek.server.laps;

import org.hibernate.type.descriptor.java.ImmutableMutabilityPlan;
import org.hibernate.type.descriptor.java.MutabilityPlan;
import org.hibernate.type.descriptor.java.PrimitiveByteArrayJavaType;

/** Bytes that nobody changes in place: no second copy of them is kept to compare with. */
public final class NeverChangedBytes extends PrimitiveByteArrayJavaType {
  private static final long serialVersionUID = 1L;

  @Override
  public MutabilityPlan<byte[]> getMutabilityPlan() {
    return ImmutableMutabilityPlan.instance();
  }
}
