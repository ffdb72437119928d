{{-- One answer: its moves with their reasons. page: FixPage; answer: FixAnswer --}}
@if (count($page->answers) > 1)
    <nav class="fix-answers" aria-label="{{ __('fix.answers') }}">
        @foreach ($page->answers as $one)
            <x-pill :to="route('fix', [$page->kind, 'answer' => $one->n])" :on="$one->n === $answer->n">{{ $one->label }}</x-pill>
        @endforeach
    </nav>
@endif
@if ($answer->moves !== [])
    <ol class="fix-moves">
        @foreach ($answer->moves as $move)
            <li>
                <h2><a href="{{ route('section', $move->section) }}">{{ $move->name }}</a></h2>
                <p><del>{{ $move->was }}</del> <b class="good">{{ $move->becomes }}</b></p>
                @foreach ($move->reasons as $reason)
                    <p class="bad">{{ $reason }}</p>
                @endforeach
                <p class="{{ $move->isCostly ? 'todo' : 'quiet' }}">{{ $move->result }}</p>
                <button class="btn btn-plain" form="ask" name="pin" value="{{ $move->series }}"
                    aria-label="{{ __('fix.pin_this', ['name' => $move->name]) }}">{{ __('fix.pin') }}</button>
            </li>
        @endforeach
    </ol>
@endif
@if ($answer->left !== [])
    <h2>{{ __('fix.left_title') }}</h2>
    <ul>
        @foreach ($answer->left as $one)
            <li class="bad">{{ $one }}</li>
        @endforeach
    </ul>
    <p class="quiet">{{ __('fix.left_hint') }}</p>
@endif
<p class="quiet">{{ $answer->verdict }}</p>
@if ($page->mayTake())
    <div class="mb-3"><a class="btn btn-main" href="{{ route('fix.preview', [$page->run, $answer->n]) }}">{{ __('fix.preview') }}</a>
    </div>
@endif
