// Another work's traits are shown as soon as it is chosen.
document.getElementById('of')?.addEventListener('change', (event) => event.target.form.submit());
