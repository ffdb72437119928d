{{-- The seven stops of the work, each with what is left to do there. person: for whom --}}
@props(['person', 'here' => \Nomada\App\View\RouteView::at((string) request()->route()?->getName())])
<nav class="route" aria-label="{{ __('route.label') }}">
    <ol>
        @foreach (app(\Nomada\App\View\RouteView::class)->stops($person) as $stop)
            <li @class(["is-$stop->state", 'parted' => $stop->leadsTo() !== null])><a href="{{ route(
                $stop->name) }}" data-stop="{{ $stop->name }}"
                    @if ($here === $stop->name) aria-current="page" @endif>
                    <svg width="22" height="20" viewBox="0 0 22 20" aria-hidden="true">
                        <circle cx="11" cy="10" r="8" @class([
                            'dot' => $stop->state === 'done',
                            'todo-dot' => $stop->state === 'todo',
                            'wrong-dot' => $stop->state === 'wrong',
                        ]) />
                        @if ($stop->state === 'todo')
                            <path class="todo-half" d="M11 2a8 8 0 0 0 0 16z" />
                        @endif
                        @if ($stop->state === 'wrong')
                            <path class="wrong-x" d="M7.5 6.5l7 7m0-7l-7 7" />
                        @endif
                    </svg>
                    <b>{{ __("route.stops.$stop->name") }}</b>
                    @if ($stop->leadsTo() === null)
                        <span>{{ trans_choice("route.says.$stop->says", $stop->n) }}</span>
                    @endif
                </a>
                @if ($stop->leadsTo() !== null)
                    <a class="count" href="{{ $stop->leadsTo() }}"><span>{{ trans_choice("route.says.$stop->says", $stop->n) }}</span></a>
                @endif
            </li>
        @endforeach
    </ol>
</nav>
