/* A photograph too large is said before it is sent. */
const LARGEST = 15 * 1024 * 1024;

export function photoForm() {
  return {
    large: false,
    check(event) {
      const file = this.$refs.file.files[0];
      this.large = Boolean(file) && file.size > LARGEST;
      if (this.large) { event.preventDefault(); }
    },
  };
}
