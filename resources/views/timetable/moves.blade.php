@props(['page'])
<x-app :title="__('moves.title')">
    <x-page-head :title="__('moves.title')" :sum="trans_choice('moves.sum', count($page->lines))" />
    <form method="post" action="{{ route('moves.store') }}">@csrf
        @if ($page->lines === [])
            <x-empty :title="__('moves.none')">{{ __('moves.none_hint') }}</x-empty>
        @else
            <table class="table-plain moves">
                <thead>
                    <tr>
                        <th scope="col">{{ __('moves.series') }}</th>
                        <th scope="col">{{ __('moves.now') }}</th>
                        <th scope="col">{{ __('moves.to') }}</th>
                        <th scope="col">{{ __('moves.reach') }}</th>
                        <th scope="col">{{ __('moves.effect') }}</th>
                        <th scope="col"><span class="visually-hidden">{{ __('moves.remove') }}</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->lines as $line)
                        @include('timetable.moves.line', ['i' => $loop->index])
                    @endforeach
                </tbody>
            </table>
        @endif
        @if ($page->fault('moves') !== '')
            <p class="fault" role="alert">{{ $page->fault('moves') }}</p>
        @endif
        <div class="moves-acts">
            <label for="add">{{ __('moves.code') }}</label>
            <input class="form-control" id="add" name="add" maxlength="60" autocomplete="off"
                placeholder="{{ __('moves.code_like') }}" value="{{ $page->add }}" aria-describedby="add-fault">
            <button class="btn btn-side" formaction="{{ route('moves.preview') }}">{{ __('moves.add') }}</button>
            @if ($page->lines !== [])
                <button class="btn btn-side ms-auto" formaction="{{ route('moves.preview') }}">{{ __('moves.preview') }}</button>
                <button class="btn btn-main">{{ trans_choice('moves.do', count($page->lines)) }}</button>
            @endif
        </div>
        <div id="add-fault" @class(['invalid' => $page->fault('add') !== '']) @if ($page->fault('add') !== '') role="alert" @endif>{{
            $page->fault('add') }}</div>
    </form>
    @if ($page->preview !== null && $page->preview->canBeMade())
        @include('timetable.moves.clashes', ['preview' => $page->preview])
    @endif
</x-app>
