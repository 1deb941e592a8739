/* The machine's form: sends it as it stands and shows what the server reckons. The newest answer wins. */

/** Fields whose change changes what is reckoned. */
const RECKONED = /^(stage|cell|feed|reverses|interlocks|kilowatts|law|efficiency|family|unit|axis|phases)/;

export function machineForm() {
  let asked = 0;
  return {
    look(event) {
      const { look } = this.$root.dataset;
      if (!look && !RECKONED.test(event.target.name || "")) { return; }
      const ticket = ++asked;
      const body = new URLSearchParams(new FormData(this.$root));
      fetch(look || "/machines/preview", { method: "POST", body, headers: { "X-Requested-With": "fetch" } })
        .then((answer) => (answer.ok ? answer.text() : Promise.reject(answer.status)))
        .then((html) => { if (ticket === asked) { this.$refs.live.innerHTML = html; } })
        .catch(() => { /* The form itself is untouched; the next key tries again. */ });
    },
  };
}
