@props(['text'])
<button type="button" class="btn btn-plain py-0" x-data="copy" data-text="{{ $text }}" x-on:click="copy"><span x-show="!done">Copy</span><span x-show="done" x-cloak role="status">Copied</span></button>
