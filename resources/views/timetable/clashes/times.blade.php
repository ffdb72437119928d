{{-- Free times for a clash. ways: list<WayOut> --}}
@forelse ($ways as $way)
    <a class="btn btn-side" href="{{ $way->url }}">{{ __('clashes.to', ['section' => $way->series, 'time' => $way->time]) }}</a>
@empty
    <span class="quiet">{{ __('clashes.no_time') }}</span>
@endforelse
