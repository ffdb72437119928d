{{-- A short address in words, and giving it one --}}
@if ($links->short === null)
    <span class="quiet">{{ __('joining.links.no_short') }}</span>
@else
    <a href="{{ route('short', $links->short) }}">{{ route('short', $links->short) }}</a> <x-copy :text="route('short', $links->short)" />
@endif
@if ($page->mayChange)
    <x-more :title="__($links->short === null ? 'joining.links.give_short' : 'term.change')" :of="['short_address']">
        <form class="inline mt-1" method="post" action="{{ route('series.short', [$page->section, $page->series]) }}">@csrf
            @method('put')
            <input class="form-control w-auto" name="short_address" aria-label="{{ __('joining.links.short') }}" maxlength="60"
                value="{{ old('short_address', $links->short) }}" placeholder="{{ __('joining.links.short_like') }}">
            <button class="btn btn-side">{{ __('joining.save') }}</button>
        </form>
        <x-faults :of="['short_address']" />
    </x-more>
@endif
