@props(['page'])
<x-app :title="__('people.title')">
    <div class="bar">
        <h1>{{ __('people.title') }}</h1>
        <div class="sum">{{ trans_choice('people.sum', $page->n) }}</div>
        <nav class="end" aria-label="{{ __('people.title') }}">
            @foreach (__('people.roles') as $role => $words)
                <x-pill :to="$page->with(['role' => $role, 'lacks' => ''])"
                    :on="$page->lacks === '' && ($page->role->value ?? '') === $role">{{ $words }}</x-pill>
            @endforeach
            <x-pill :to="$page->with(['lacks' => 'email'])" :on="$page->lacks === 'email'">{{ __('people.without_email') }}</x-pill>
            <x-pill :to="$page->with(['lacks' => 'disabled'])" :on="$page->lacks === 'disabled'">{{ __('people.disabled') }}</x-pill>
        </nav>
    </div>
    <x-faults class="fault" :of="['people']" />
    <form class="inline mt-2" method="get" action="{{ route('people') }}" role="search">
        <input type="hidden" name="role" value="{{ $page->role->value ?? '' }}">
        <input type="hidden" name="lacks" value="{{ $page->lacks }}">
        <input class="form-control w-auto" name="q" size="34" maxlength="80" value="{{ $page->typed }}"
            placeholder="{{ __('people.search') }}" aria-label="{{ __('people.search') }}">
        <button class="btn btn-side">{{ __('people.find') }}</button>
        <a class="btn btn-main ms-auto" href="{{ route('people.add') }}">{{ __('people.add.link') }}</a>
    </form>
    @if ($page->people === [])
        <x-empty :title="__('people.none')">{{ __('people.none_hint') }}</x-empty>
    @else
        <table class="table-plain mt-2">
            <thead>
                <tr>
                    @foreach (__('people.columns') as $words)
                        <th scope="col">{{ $words }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($page->people as $one)
                    <tr>
                        <td><a href="{{ $page->person->to($one->sourcedId) }}"><b>{{ $one->name }}</b></a>
                            <small>{{ $one->sourcedId }}</small>
                        </td>
                        <td>{{ __("frame.roles.{$one->role->value}") }}</td>
                        <td>{{ $one->year }}</td>
                        <td>{{ $one->sections }}</td>
                        <td class="{{ $one->email === null ? 'todo' : '' }}">{{ $one->email ?? __('people.no_email') }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($page->pages > 1)
            <nav class="inline mt-2" aria-label="{{ __('people.pages') }}">
                @for ($n = max(1, $page->page - 5); $n <= min($page->pages, $page->page + 5); $n++)
                    <x-pill :to="$page->with(['page' => $n])" :on="$n === $page->page">{{ $n }}</x-pill>
                @endfor
            </nav>
        @endif
    @endif
</x-app>
