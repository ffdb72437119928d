{{-- The keys of the screen; in the slot those of this page alone. staff: whether whoever looks has the search and the stops --}}
@props(['staff' => true])
<div class="modal keys" id="keys" tabindex="-1" aria-labelledby="keys-title">
    <div class="modal-dialog">
        <div class="modal-content">
            <div class="modal-body">
                <h2 id="keys-title" class="mb-3">{{ __('frame.keys.title') }}</h2>
                <dl>
                    @if ($staff)
                        <dt><kbd>/</kbd></dt>
                        <dd>{{ __('frame.keys.find') }}</dd>
                        <dt><kbd>g</kbd> {{ __('frame.keys.then') }} <kbd>t</kbd> <kbd>j</kbd> <kbd>r</kbd> <kbd>p</kbd></dt>
                        <dd>{{ __('frame.keys.stop') }}</dd>
                        <dt><kbd>g</kbd> {{ __('frame.keys.then') }} <kbd>h</kbd></dt>
                        <dd>{{ __('frame.keys.home') }}</dd>
                    @endif
                    {{ $slot }}
                    <dt><kbd>?</kbd></dt>
                    <dd>{{ __('frame.keys.these') }}</dd>
                    <dt><kbd>Esc</kbd></dt>
                    <dd>{{ __('frame.keys.close') }}</dd>
                </dl>
                @if ($staff)
                    <hr>
                    <x-legend />
                @endif
                <button type="button" class="btn btn-side" data-bs-dismiss="modal">{{ __('frame.keys.shut') }}</button>
            </div>
        </div>
    </div>
</div>
