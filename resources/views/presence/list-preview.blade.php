@props(['page'])
<x-app :title="__('presence.list.title', ['name' => $page->section->name()])">
    <x-page-head :title="__('presence.list.title', ['name' => $page->section->name()])">
        <x-slot:sum>{{ $page->name }} · {{ Say::day($page->day) }}</x-slot:sum>
        <a class="pill" href="{{ route('presence-lists', $page->section) }}">‹</a>
    </x-page-head>
    <div class="columns mt-2">
        <section>
            @if ($page->wrong !== null)
                <p class="warn">{{ $page->wrong }}</p>
            @elseif ($page->look->graves() !== [])
                <p class="fault" role="alert">{{ trans_choice('presence.list.faults', count($page->look->graves())) }}</p>
                <ul>
                    @foreach (array_slice($page->look->graves(), 0, 40) as $fault)
                        <li>{{ \Nomada\App\Support\FaultWords::line($fault) }}</li>
                    @endforeach
                </ul>
            @else
                <p><b>{{ trans_choice('presence.list.sum', count($page->look->rows)) }}</b> ·
                    {{ trans_choice('presence.list.certain', count($page->look->certain)) }}</p>
                <form method="post" action="{{ route('presence-lists.take', [$page->section, $page->key, ...$page->query()]) }}">@csrf
                    @if ($page->look->open !== [])
                        <h2>{{ __('presence.list.open') }}</h2>
                        <p class="quiet">{{ __('presence.list.open_hint') }}</p>
                        @foreach (array_keys($page->look->open) as $i => $who)
                            <p class="d-flex gap-3 align-items-center"><label class="w-50"
                                    for="c-{{ $i }}"><b>{{ $who }}</b>
                                    <small
                                        class="quiet">{{ __('presence.list.line', ['line' => $page->look->open[$who][0]]) }}</small></label>
                                <select class="form-select" id="c-{{ $i }}" name="choice[{{ $i }}]">
                                    @foreach ($page->look->open[$who][1] as $near)
                                        <option value="{{ $near }}">{{ $page->people[$near] ?? $near }}</option>
                                    @endforeach
                                    <option value="">{{ __('presence.list.guest') }}</option>
                                    @foreach (array_diff_key($page->people, array_flip($page->look->open[$who][1])) as $id => $name)
                                        <option value="{{ $id }}">{{ $name }}</option>
                                    @endforeach
                                </select>
                            </p>
                        @endforeach
                    @endif
                    <button class="btn btn-main">{{ __('presence.list.take') }}</button>
                </form>
            @endif
        </section>
        <x-card :title="__('presence.list.columns')">
            <form method="get">
                @foreach (Nomada\Core\Interchange\PresenceList::ROLES as $role)
                    <label class="form-label" for="as-{{ $role }}">{{ __("presence.list.roles.$role") }}</label>
                    <select class="form-select mb-2" id="as-{{ $role }}" name="as_{{ $role }}">
                        <option value="">{{ __('presence.list.not_in_it') }}</option>
                        @foreach ($page->heads as $head)
                            <option value="{{ $head }}" @selected(($page->columns[$role] ?? null) === $head)>{{ $head }}</option>
                        @endforeach
                    </select>
                @endforeach
                <p class="quiet small">{{ __('presence.list.columns_hint') }}</p>
                <button class="btn btn-side">{{ __('presence.list.again') }}</button>
            </form>
        </x-card>
    </div>
</x-app>
