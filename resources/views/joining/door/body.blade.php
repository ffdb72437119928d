{{-- The door's answer, and what can be done. page: DoorView --}}
<div class="phone" x-data="door" data-look="{{ $page->look }}" data-version="{{ $page->version }}"
    data-longest="{{ $page->longest }}" data-opens="{{ $page->opens }}">
    @if ($page->help !== null)
        <p class="over-title mb-0"><x-joined by=" · " :of="[$page->help->name, $page->help->teacher]" /></p>
    @endif
    <h1>{{ $page->words[0] }}</h1>
    <p>{{ $page->words[1] }}</p>
    <x-faults class="fault" :of="['bridge']" />
    @if ($page->stops !== [])
        @include('joining.door.line')
    @endif
    @include('joining.door.acts')
    @if ($page->look !== null)
        <noscript>
            <meta http-equiv="refresh" content="20">
        </noscript>
        <p class="quiet mt-2">{{ __('door.looks_again') }}</p>
    @endif
    @if ($page->help !== null)
        @include('joining.door.helps', ['help' => $page->help])
    @endif
</div>
