// Raw samples out of the sound thread, in pieces: nothing is filtered or smoothed here.
class Pieces extends AudioWorkletProcessor {
  constructor() {
    super();
    this.length = Math.round(sampleRate * 0.15);
    this.piece = new Float32Array(this.length);
    this.filled = 0;
  }

  process(inputs) {
    const channels = inputs[0];
    if (!channels || !channels.length) return true;
    for (let i = 0; i < channels[0].length; i++) {
      // of two channels the livelier one at each moment: a dead one does no harm
      let x = channels[0][i];
      for (let c = 1; c < channels.length; c++) if (Math.abs(channels[c][i]) > Math.abs(x)) x = channels[c][i];
      this.piece[this.filled++] = x;
      if (this.filled === this.length) {
        this.port.postMessage(this.piece, [this.piece.buffer]);
        this.piece = new Float32Array(this.length);
        this.filled = 0;
      }
    }
    return true;
  }
}

registerProcessor("pieces", Pieces);
