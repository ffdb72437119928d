@props(['text'])
<button type="button" class="btn btn-plain py-0" x-data="copy" data-text="{{ $text }}" x-on:click="copy"
    x-text="label">Copy</button>
