{{-- Finds a section, a person or a date from anywhere --}}
<div class="modal palette" id="find" tabindex="-1" aria-label="{{ __('frame.find.title') }}" data-url="{{ route('find') }}"
    x-data="find" x-on:find.window="open">
    <div class="modal-dialog modal-lg">
        <div class="modal-content">
            <div class="modal-body">
                <input class="form-control form-control-lg" x-ref="typed" x-model="typed" x-on:input.debounce.120ms="ask"
                    x-on:keydown.down.prevent="step(1)" x-on:keydown.up.prevent="step(-1)" x-on:keydown.enter.prevent="go" role="combobox"
                    aria-expanded="true" aria-controls="hits" aria-autocomplete="list" x-bind:aria-activedescendant="here()"
                    aria-label="{{ __('frame.find.label') }}" placeholder="{{ __('frame.find.like') }}" autocomplete="off">
                <ul id="hits" role="listbox" aria-label="{{ __('frame.find.found') }}">
                    <template x-for="hit in found" x-bind:key="hit.id">
                        <li role="option" x-bind:id="hit.id" x-bind:aria-selected="isAt(hit)" x-on:click="goTo(hit)"><span
                                class="kind" x-text="hit.kind"></span><b x-text="hit.title"></b><span class="note"
                                x-text="hit.note"></span></li>
                    </template>
                </ul>
                <p class="none" x-show="nothing()" x-cloak role="status">{{ __('frame.find.nothing') }}</p>
                <p class="none bad" x-show="failed" x-cloak role="alert">{{ __('frame.find.failed') }}</p>
            </div>
        </div>
    </div>
</div>
