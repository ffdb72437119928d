{{-- One week of the course page of ours. week: OwnWeek --}}
<section>
    <h2>{{ __('published.fields.week') }} {{ $week->number }}</h2>
    @foreach ($week->sessions as $line)
        <p>{{ $line }}</p>
    @endforeach
    <x-pairs :of="$week->fields" />
</section>
