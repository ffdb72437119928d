<x-app :title="__('conflict.title')">
    <div class="bar">
        <h1>{{ __('conflict.title') }}</h1>
    </div>
    <p class="warn" role="status">
        {{ $page->who === null
            ? __('conflict.somebody', ['when' => $page->when])
            : __('conflict.who', ['who' => $page->who, 'when' => $page->when]) }}
        @if ($page->words !== '')
            {{ __('conflict.they') }} <b>{{ $page->words }}</b>.
        @endif
        {{ __('conflict.nothing') }}
    </p>
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('conflict.what') }}</th>
                <th scope="col">{{ __('conflict.now') }}</th>
                <th scope="col">{{ __('conflict.yours') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->rows as $row)
                <tr>
                    <th scope="row">{{ __("conflict.fields.$row->field") }}</th>
                    <td @class(['todo' => $row->byThem])>{{ $row->theirs === '' ? __('conflict.empty') : $row->theirs }}
                        @if ($row->byThem)
                            <small>{{ __('conflict.changed') }}</small>
                        @endif
                    </td>
                    <td @class(['todo' => $row->byMe])>
                        {{ $row->mine === '' ? __($row->byMe && $row->field === 'plan' ? 'conflict.as_typed' : 'conflict.empty')
                            : $row->mine }}
                        @if ($row->byMe)
                            <small>{{ __('conflict.changed') }}</small>
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <div class="d-flex gap-2 mt-3 align-items-center flex-wrap">
        @if ($page->both !== null)
            <x-again :page="$page" :fields="$page->both" class="btn-main">{{ __('conflict.both') }}</x-again>
        @endif
        <a class="btn btn-side" href="{{ $page->back }}">{{ __('conflict.theirs') }}</a>
        <x-again :page="$page" :fields="$page->mine" class="btn-side">{{ __('conflict.mine') }}</x-again>
        @if ($page->both === null)
            <span class="quiet">{{ __('conflict.touch') }}</span>
        @endif
    </div>
</x-app>
