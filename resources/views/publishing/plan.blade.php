@props(['page'])
<x-app :title="__('plan.title')">
    <div class="bar">
        <h1>{{ __('plan.title') }}</h1>
        <div class="sum">{{ trans_choice('plan.differ', $page->differs) }} ·
            {{ trans_choice('plan.right', $page->all - $page->differs - $page->notYet) }}
            @if ($page->notYet > 0)
                · {{ trans_choice('plan.not_yet', $page->notYet) }}
            @endif
        </div>
        @include('publishing.plan.tabs')
    </div>
    @if ($page->rows === [])
        <x-empty :title="__('plan.none')">{{ __('plan.none_hint') }}
            <a href="{{ route('publishing', ['show' => 'all']) }}">{{ __('plan.show_all') }}</a></x-empty>
    @else
        <form method="post" action="{{ route('publishing.store') }}" x-data="plan" data-open="{{ $page->open }}">@csrf
            <table class="plan">
                <thead>
                    <tr>
                        <th class="c-pick" scope="col"><input class="form-check-input" type="checkbox" checked x-on:change="chooseAll"
                                aria-label="{{ __('board.choose_all') }}"></th>
                        <th class="c-section" scope="col"><small>{{ __('plan.section') }}</small></th>
                        @foreach (\Nomada\Core\Publishing\Place::cases() as $place)
                            <th scope="col">{{ Say::this($place->said()) }}<small>
                                    @forelse ($page->total($place) as $verb => $n)
                                        {{ __("plan.totals.$verb", ['n' => $n]) }}{{ $loop->last ? '' : ' · ' }}
                                    @empty
                                        {{ __('plan.nothing') }}
                                    @endforelse
                                </small></th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @include('publishing.plan.rows')
                </tbody>
            </table>
            @include('publishing.plan.legend')
            @if ($page->steps() + $page->toTell() > 0)
                @include('publishing.plan.tray')
            @endif
        </form>
    @endif
</x-app>
