<?php

return [
    'title' => 'Importar calendarios',
    'file' => 'Archivo de calendario (.ics)',
    'of' => 'De quién es el calendario',
    'school' => 'del centro',
    'becomes' => [
        'title' => 'Qué se importa',
        'classes' => 'Clases',
        'classes_words' => 'Un evento cuyo resumen o categoría contiene el código de un grupo se convierte en una '
            .'serie de ese grupo, con sus excepciones.',
        'rest' => 'Otros eventos',
        'rest_words' => 'Los asignas a mano o los dejas fuera. En el calendario de un docente se convierten en tiempo '
            .'ocupado, que las horas libres evitan.',
        'again' => 'Importar otra vez',
        'again_words' => 'Un evento ya importado cambia la serie que creó.',
    ],
    'sum' => ':count evento · :matched asignados por código|:count eventos · :matched asignados por código',
    'whose' => 'de :name',
    'none' => 'El archivo no tiene eventos de este trimestre',
    'other' => 'Elegir otro archivo',
    'columns' => ['event' => 'Evento', 'when' => 'Cuándo', 'makes' => 'Resultado', 'as' => 'Importar como'],
    'more' => ':count evento más no se muestra ni se importa. Importa el archivo por partes.|:count eventos más no se '
        .'muestran ni se importan. Importa el archivo por partes.',
    'take' => 'Importar',
    'no_summary' => 'sin resumen',
    'whole_days' => 'días completos',
    'days' => ':count día|:count días',
    'states' => ['same' => 'ya importado, sin cambios', 'changes' => 'cambia la serie que creó'],
    'as' => 'Importar como: :event',
    'busy' => 'tiempo ocupado de :name',
    'choose' => 'elige: :n grupos tienen este código',
    'leave' => 'dejar fuera',
];
