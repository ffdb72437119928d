{{-- Recordings that were released to the student --}}
<h2 class="mt-4">{{ __('recordings.mine') }}</h2>
<ul class="places">
    @foreach ($page->recordings as $one)
        <li><b>{{ $one->name }}</b>
            <span class="quiet"><x-joined by=" · " :of="[Say::day($one->day), $one->topic]" /></span>
            <a href="{{ route('recording', $one->id) }}"
                aria-label="{{ __('recordings.title', ['name' => $one->name]) }}, {{ Say::day($one->day) }}">{{ __(
                    'me.open') }}</a>
        </li>
    @endforeach
</ul>
