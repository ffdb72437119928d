{{-- In what door or floor are more open than the preset, and who answers for it --}}
<div class="{{ $page->rules->acceptedBy === null ? 'fault' : 'said' }}">
    {{ __('joining.more_open.is', ['what' => Say::put(array_values($page->rules->moreOpen))]) }}
    @if ($page->rules->acceptedBy !== null)
        {{ __('joining.more_open.accepted', ['name' => $page->rules->acceptedBy]) }}
    @elseif ($page->mayChange)
        <x-act :to="route('series.open.accept', [$page->section, $page->series])" class="btn-side ms-2"
            :do="__('joining.more_open.accept')" />
    @endif
</div>
