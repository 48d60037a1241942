/** The Run sheet room: the steps of a setup in their order, ticked one after the other. */
package kalodyne.desktop.runsheet;
