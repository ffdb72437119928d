{{-- The series that have no time yet. page: FixPage --}}
@if ($page->toPlace !== [])
    <h2>{{ __('to_place.title') }}</h2>
    <ul class="to-place-list">
        @foreach ($page->toPlace as $one)
            <li><a href="{{ route('section', $one->code) }}">{{ $one->name }}</a></li>
        @endforeach
    </ul>
@endif
