@props(['page'])
<x-app :title="__('rights.title')">
    <div class="bar">
        <h1>{{ __('rights.title') }}</h1>
        <div class="sum">{{ $page->section === null ? __('rights.of_school') : $page->section->name() }}
            @if ($page->section !== null && !$page->isOwn)
                · {{ __('rights.as_school') }}
            @endif
        </div>
        <nav class="end" aria-label="{{ __('rights.title') }}">
            @if ($page->section !== null)
                <x-pill :to="route('rights')">{{ __('rights.school') }}</x-pill>
            @endif
            <x-pill :to="route('requests')">{{ __('requests.title') }}</x-pill>
        </nav>
    </div>
    <div class="columns mt-2">
        <form method="post" action="{{ $page->section === null ? route('rights.update') : route('rights.override', $page->section) }}">@csrf
            @method('put')
            <p class="quiet">{{ __('rights.hint') }}</p>
            <table class="table-plain rights">
                <thead>
                    <tr>
                        <td></td>
                        @foreach (__('rights.permissions') as $words)
                            <th scope="col">{{ $words }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->acts() as $act)
                        <tr>
                            <th scope="row" id="act-{{ $act->value }}">{{ __("rights.acts.$act->value") }}</th>
                            @foreach (array_keys(__('rights.permissions')) as $value)
                                <td><label class="pick"><input class="form-check-input" type="radio" name="{{ $act->value }}"
                                            value="{{ $value }}"
                                            aria-labelledby="act-{{ $act->value }} {{ $act->value }}-{{ $value }}"
                                            @checked(old($act->value, $page->rights->of(
                                                $act)->value) === $value)><span class="visually-hidden"
                                            id="{{ $act->value }}-{{ $value }}">{{ __("rights.permissions.$value") }}</span></label>
                                </td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="mt-3"><label for="notice">{{ __('rights.notice') }}</label>
                <input class="form-control hours-before" id="notice" name="notice" inputmode="numeric" size="4"
                    value="{{ old('notice', $page->rights->noticeHours) }}"> {{ __('rights.hours') }}
            </p>
            <x-faults :of="['notice', 'describe', 'topics', 'add', 'move', 'series']" />
            <button class="btn btn-main">{{ $page->section === null ? __('rights.save') : __('rights.save_of') }}</button>
            @if ($page->isOwn)
                <button class="btn btn-side" name="as_school" value="1">{{ __('rights.reset') }}</button>
            @endif
        </form>
        <x-card :title="__('rights.others')">
            @if ($page->others === [])
                <p class="quiet">{{ __('rights.no_others') }}</p>
            @endif
            <ul class="roster one-column">
                @foreach ($page->others as $id => $name)
                    <li><a href="{{ route('rights', ['section' => $id]) }}">{{ $name }}</a></li>
                @endforeach
            </ul>
            <form class="inline mt-2" method="get" action="{{ route('rights') }}">
                <select class="form-select flex-fill w-auto" name="section" aria-label="{{ __('rights.section') }}">
                    @foreach ($page->sections as $id => $name)
                        <option value="{{ $id }}">{{ $name }}</option>
                    @endforeach
                </select>
                <button class="btn btn-side">{{ __('rights.choose') }}</button>
            </form>
        </x-card>
    </div>
</x-app>
