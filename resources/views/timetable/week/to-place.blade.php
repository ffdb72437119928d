{{-- Series without a time, beside the week into which they are dragged. toPlace: FixSeries by number --}}
<div class="to-place" role="group" aria-label="{{ __('to_place.title') }}">
    <b>{{ __('to_place.title') }}</b>
    @foreach (array_slice($toPlace, 0, 8) as $one)
        <a class="pill" draggable="true" data-place="{{ route('to-place.busy', [$one->code, $one->toPlace->id]) }}"
            href="{{ route('why-not', ['series' => $one->number]) }}">{{ $one->name }}
            <small>{{ trans_choice('to_place.is', $one->toPlace->per_week, ['minutes' => $one->toPlace->minutes]) }}</small></a>
    @endforeach
    <a
        href="{{ route('fix', 'place') }}">{{ count($toPlace) > 8 ? __('to_place.all', ['n' => count($toPlace)]) : __(
            'to_place.find') }}</a>
    <small class="quiet">{{ __('to_place.drag') }}</small>
</div>
