@props(['page'])
<x-app :title="__('live.title', ['name' => $page->live->name])">
    @include('joining.live.head')
    @if ($page->trouble)
        <p class="fault" role="alert">{{ $page->trouble }}</p>
    @endif
    @if ($page->live->isRehearsal)
        <div class="warn">{{ __('live.rehearsal.why') }}
            <x-live.act :live="$page->live" act="rehearse" class="btn-main ms-2"
                :do="__($page->room['inside'] === [] ? 'live.rehearsal.begin' : 'live.rehearsal.go_on')" />
        </div>
    @endif
    <div x-data="live" data-url="{{ url()->full() }}" data-to="{{ $page->live->page }}" data-version="{{ $page->version() }}"
        data-rehearsal="{{ $page->live->isRehearsal ? 1 : 0 }}" data-token="{{ csrf_token() }}">
        <p role="status" x-ref="told" hidden></p>
        <div class="live-desk">
            @include('joining.live.parts')
            @include('joining.live.pens')
            @include('joining.live.note')
            @include('joining.live.pass')
        </div>
    </div>
    <p class="mt-3 quiet small">{{ __('live.rules', ['rules' => $page->rules]) }}</p>
</x-app>
