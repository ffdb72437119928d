@props(['history', 'may'])
<section class="card-s">
    <h2>{{ __('term.history.title') }}</h2>
    @if ($history->rows === [])
        <p class="quiet">{{ __('term.history.none') }}</p>
    @else
        <ul class="history is-narrow">
            @foreach ($history->rows as $row)
                <li @class(['is-undone' => $row->isUndone])>
                    <span class="nowrap">{{ $row->date }} {{ $row->time }}</span>
                    <span>{{ $row->who ?? __('term.history.import') }}</span>
                    <span>{{ $row->words }}</span>
                    <span>
                        @if ($row->isUndone)
                            <small>{{ __('term.history.undone') }}</small>
                        @elseif ($may && $row->canUndo)
                            <form class="d-inline" method="post" action="{{ route('calendar.undo', $row->id) }}">
                                @csrf
                                <button class="btn btn-side py-0" aria-label="{{ __('term.history.undo') }}: {{ $row->words }}">
                                    {{ __('term.history.undo') }}</button>
                            </form>
                        @endif
                    </span>
                </li>
            @endforeach
        </ul>
    @endif
</section>
