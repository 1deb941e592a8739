/* Runs beside the page: hands what the microphone hears on in blocks. */

const BLOCK = 4096;

class Blocks extends AudioWorkletProcessor {
  block = new Float32Array(BLOCK);
  at = 0;

  process([channels]) {
    const first = channels?.[0];
    if (!first) { return true; }
    for (let i = 0; i < first.length; i += 1) {
      let sum = 0;
      for (const channel of channels) { sum += channel[i]; }
      this.block[this.at] = sum / channels.length;
      this.at += 1;
      if (this.at === BLOCK) {
        this.port.postMessage(this.block.slice());
        this.at = 0;
      }
    }
    return true;
  }
}

globalThis.registerProcessor("blocks", Blocks);
