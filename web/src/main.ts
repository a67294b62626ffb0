import { mount } from 'svelte';
import './app.css';
import App from './App.svelte';
import { takeWindowId } from './ui/window-id';

// Nothing is stored before it is known whose it is.
await takeWindowId();
export default mount(App, { target: document.getElementById('app')! });
