{{-- On which days and in which hours school is open --}}
<x-card :title="__('term.open.title')">
    <dl class="pairs">
        <dt>{{ __('term.open.days') }}</dt>
        <dd>{{ $page->openDays }}</dd>
        <dt>{{ __('term.open.hours') }}</dt>
        <dd>{{ $page->usual->opens }}–{{ $page->usual->shuts }}</dd>
        <dt>{{ __('term.open.weekends') }}</dt>
        <dd>{{ __($page->usual->opened === [] ? 'term.open.closed' : 'term.open.closed_but') }}
            @foreach ($page->usual->opened as $id => $day)
                <br>{{ $day }}
                @if ($page->mayChange)
                    <x-act :to="route('opened-days.destroy', $id)" method="delete" class="btn-plain py-0" :do="__('term.open.close')"
                        :about="$day" />
                @endif
            @endforeach
        </dd>
    </dl>
    @if ($page->mayChange)
        <x-more :title="__('term.change')" :of="['open_day', 'opens', 'closes']">
            <form method="post" action="{{ route('hours.update') }}" class="d-flex gap-2 my-2 align-items-center">@csrf
                @method('put')
                <x-drawn :of="'hours:' . $page->id" />
                <input class="form-control" name="opens" aria-label="{{ __('term.open.opens') }}"
                    value="{{ old('opens', $page->usual->opens) }}">–<input class="form-control" name="closes"
                    aria-label="{{ __('term.open.shuts') }}" value="{{ old('closes', $page->usual->shuts) }}">
                <button class="btn btn-side nowrap">{{ __('term.open.save') }}</button>
            </form>
            <form method="post" action="{{ route('opened-days.store') }}" class="d-flex gap-2 align-items-center">@csrf
                <x-date name="open_day" :label="__('term.open.day')" :in="$page->calendar" />
                <button class="btn btn-side nowrap">{{ __('term.open.do') }}</button>
            </form>
            <x-faults class="mt-1" :of="['open_day', 'opens', 'closes']" />
        </x-more>
    @endif
</x-card>
