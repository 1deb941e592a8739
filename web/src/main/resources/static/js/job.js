/* Work that takes its time: asks how far it is, and goes on when it is done. A page without this has a key to look again. */
export function jobPage() {
  return {
    init() { this.ask(); },
    async ask() {
      const at = "/works/" + this.$el.dataset.work;
      const answer = await fetch(at + "/stand", { headers: { Accept: "application/json" } }).catch(() => null);
      if (answer && !answer.ok) { window.location.replace(at); return; }
      const how = answer ? await answer.json() : null;
      if (how && how.stand !== "GOES_ON") { window.location.replace(at); return; }
      if (how) {
        this.$refs.bar.value = how.share;
        if (this.$refs.doing.textContent !== how.doing) { this.$refs.doing.textContent = how.doing; }
      }
      setTimeout(() => this.ask(), 400);
    },
  };
}
