{{-- What needs the coordinator first --}}
<section class="needs" aria-labelledby="needs">
    <h2 id="needs">{{ __('board.needs.title') }}</h2>
    <a href="{{ route('board', ['show' => 'issues']) }}">{{ __('board.needs.all') }}</a>
    <ul>
        @foreach ($page->needs as $need)
            <li><span><x-shape :is="$need->isWrong ? 'wrong' : 'changed'" /> {{ $need->words }}</span>
                @if ($need->times !== null)
                    <span class="times" x-data="options" data-from="{{ $need->times }}&amp;most=1" role="status"><span
                            class="quiet">{{ __('clashes.looking') }}</span></span>
                @endif
                <a class="btn btn-plain" href="{{ $need->url }}">{{ $need->do }}</a>
            </li>
        @endforeach
    </ul>
</section>
