/**
 * What a recording of a running machine tells (W 3.8): a WAV file read, its spectrum, the peaks that stand over its noise and what of the
 * drive each may belong to, whether something knocks once a turn, the speed its orders give. Samples are parts of full scale, times s,
 * frequencies Hz, levels dB over a full-scale sine; no level here is one of the air, so that only like is compared with like.
 */
package tallledger.core.sound;
